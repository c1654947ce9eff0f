import type { Role } from '@ours/core';
import Joi from 'joi';
import { textSchema } from './schemaOf';
import { PASSWORD_LEAST } from './wire';

export const signUpSchema = Joi.object<SignUp>({
  name: textSchema(1, 80).required().label('Your name'),
  email: Joi.string().trim().email({ tlds: false }).max(200).required().label('E-mail'),
  password: Joi.string().min(PASSWORD_LEAST).max(200).required().label('Password'),
  householdName: textSchema(1, 120).label('Name of the home'),
  invitation: Joi.string().trim().max(40).label('Invitation code'),
}).xor('householdName', 'invitation');

export interface SignUp {
  name: string;
  email: string;
  password: string;
  householdName?: string;
  invitation?: string;
}

export const signInSchema = Joi.object<SignIn>({
  email: Joi.string().trim().max(200).required().label('E-mail'),
  password: Joi.string().max(200).required().label('Password'),
});

export interface SignIn {
  email: string;
  password: string;
}

/** Who is signed in, and to which home. */
export interface Me {
  accountId: string;
  name: string;
  email: string;
  householdId: string;
  householdName: string;
  isDemo: boolean;
  role: Role;
  /** The household's row for this person, when one is linked. */
  personId: string | null;
}

/** A home that an account belongs to. */
export interface HomeView {
  householdId: string;
  name: string;
  role: Role;
  current: boolean;
}

export interface SessionView {
  id: string;
  device: string;
  createdAt: string;
  lastSeenAt: string;
  current: boolean;
}

/** A phone or browser of somebody of the home, and when the server last heard of it. */
export interface PhoneView {
  name: string;
  device: string;
  lastSeenAt: string;
  current: boolean;
}

export interface InvitationView {
  code: string;
  expiresAt: string;
}

/** RFC 9457 problem document, with the code the app branches on. */
export interface Problem {
  type: string;
  title: string;
  status: number;
  detail: string;
  code: string;
}
