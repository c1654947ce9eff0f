import { joiResolver } from '@hookform/resolvers/joi';
import { signInSchema } from '@ours/contracts';
import { PASSWORD_LEAST } from '@ours/contracts/wire';
import Joi from 'joi';

/** Into an account, to a new home, or into a home by an invitation. */
export type Way = 'in' | 'new' | 'join';
export interface SignInValues {
  name: string;
  email: string;
  password: string;
  householdName: string;
  invitation: string;
}

const email = Joi.string()
  .trim()
  .email({ tlds: false })
  .required()
  .messages({ '*': 'Write an e-mail address, such as runa@ferry-house.example.' });
const password = Joi.string()
  .min(PASSWORD_LEAST)
  .required()
  .messages({ '*': `A password has at least ${PASSWORD_LEAST} characters.` });
const name = Joi.string().trim().min(1).max(80).required().messages({ '*': 'Say what the others call you.' });
const free = Joi.string().allow('');
const schemas: Record<Way, Joi.ObjectSchema<SignInValues>> = {
  in: Joi.object({
    email: (signInSchema.extract('email') as Joi.StringSchema).messages({ '*': 'Write your e-mail address.' }),
    password: Joi.string().required().messages({ '*': 'Write your password.' }),
    name: free,
    householdName: free,
    invitation: free,
  }),
  new: Joi.object({
    name,
    email,
    password,
    householdName: Joi.string()
      .trim()
      .min(1)
      .max(120)
      .required()
      .messages({ '*': 'Give your home a name, such as “Ferry house”.' }),
    invitation: free,
  }),
  join: Joi.object({
    name,
    email,
    password,
    householdName: free,
    invitation: Joi.string()
      .trim()
      .min(12)
      .required()
      .messages({ '*': 'The code has twelve letters and digits, such as K7WM-2RTA-9CXH.' }),
  }),
};

/** What each form asks of its fields. */
export const SIGN_IN_RULES = {
  in: joiResolver(schemas.in),
  new: joiResolver(schemas.new),
  join: joiResolver(schemas.join),
};
