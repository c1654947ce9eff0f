import type { PhotoRow } from '@ours/core';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';
import type { PictureProblem } from '@/kit/picture/shrink';
import { today } from '@/shared/opContext';

export const PICTURE_PROBLEMS: Readonly<Record<PictureProblem, string>> = {
  too_large: 'The file is larger than 10 MB; a picture up to that is read.',
  no_picture: 'That file is no picture that is read here; JPEG, PNG and WebP are.',
  unreadable: 'The picture cannot be read; it may be damaged. Take it again or choose another one.',
};
export const MOMENT_WORDS: Readonly<Record<PhotoRow['moment'], string>> = {
  before: 'Before',
  after: 'After',
  now: 'As it is',
};

/** `Before, 3 Nov`. */
export const photoWords = ({ moment, takenAt }: Pick<PhotoRow, 'moment' | 'takenAt'>, day: string): string =>
  `${MOMENT_WORDS[moment]}, ${dayWords(today(new Date(takenAt)), day)}`;

export const keptWords = (missing: number): string =>
  missing === 0
    ? 'They are on this device.'
    : counted(missing, {
        one: '# picture could not be fetched; it needs a signal.',
        other: '# pictures could not be fetched; they need a signal.',
      });
