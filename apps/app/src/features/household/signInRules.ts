import { PASSWORD_LEAST } from '@ours/contracts/wire';
import type { ObjectSchema, StringSchema } from 'joi';
import { loadRules, type Rules } from '@/data/api/loadRules';

/** Into an account, to a new home, or into a home by an invitation. */
export type Way = 'in' | 'new' | 'join';
export interface SignInValues {
  name: string;
  email: string;
  password: string;
  householdName: string;
  invitation: string;
}

/** What each form asks of its fields. */
function schemas({ Joi, signInSchema }: Rules): Record<Way, ObjectSchema<SignInValues>> {
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
  return {
    in: Joi.object({
      email: (signInSchema.extract('email') as StringSchema).messages({ '*': 'Write your e-mail address.' }),
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
}

/** What is wrong with what was written, by field. The rules come when the form is sent: the page is shown without them. */
export async function wrongAtSignIn(
  way: Way,
  values: SignInValues,
): Promise<Partial<Record<keyof SignInValues, string>>> {
  const { error } = schemas(await loadRules())[way].validate(values, { abortEarly: false });
  // Of one field the first thing that is wrong.
  const found = [...(error?.details ?? [])].reverse();
  return Object.fromEntries(found.map(({ path, message }) => [String(path[0]), message]));
}
