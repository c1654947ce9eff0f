import type { TaggedRow } from '@ours/core';
import Joi from 'joi';
import { uuid } from './fields';

/** What somebody without an account may look at: one space, or the list of the next trip. */
export const LOOKS = ['space', 'list'] as const;
export type LookKind = (typeof LOOKS)[number];
export const LOOK_MOST_DAYS = 90;

export interface NewLook {
  what: LookKind;
  /** Of `space`. */
  spaceId: string | null;
  /** After so many days the address ends. */
  days: number;
}
export const newLookSchema = Joi.object<NewLook>({
  what: Joi.string()
    .valid(...LOOKS)
    .required(),
  spaceId: Joi.when('what', { is: 'space', then: uuid.required(), otherwise: Joi.valid(null).required() }),
  days: Joi.number().integer().min(1).max(LOOK_MOST_DAYS).required().label('Days until it ends'),
});

/** An address that was given out and has not ended. */
export interface LookView {
  id: string;
  what: LookKind;
  spaceId: string | null;
  madeAt: string;
  endsAt: string;
  /** When it was last opened; null: never. */
  lastOpenedAt: string | null;
}

/** One line of a list as somebody sees it who has no account. */
export interface LookLine {
  name: string;
  packs: number;
  packThousandths: number;
  /** The thing's unit; null: it is no thing of the home yet. */
  unit: string | null;
  /** What is printed on one. */
  size: { amountThousandths: number; unit: string } | null;
  aisle: string;
  inBasket: boolean;
}

/** What an address shows, and nothing else of the home. */
export type LookPage = {
  home: string;
  lengths: 'metric' | 'inch';
  /** When it was read, by the server's clock. */
  asOf: string;
  endsAt: string;
} & (
  | {
      what: 'space';
      spaceId: string;
      /** The space, what is in it, of its things what their dates follow from, and the home's rules for those. */
      rows: TaggedRow[];
      /** Medicines are there and are not shown. */
      leftOut: boolean;
    }
  | { what: 'list'; day: string; shop: string | null; lines: LookLine[] }
);
