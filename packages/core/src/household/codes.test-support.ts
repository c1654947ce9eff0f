import { CODE_ALPHABET, codeShape, writeCode } from '../base/nookCode';

/** Another valid code that would be taken for this one on a worn label. */
export function codeReadingAlike(code: string): string {
  for (const a of CODE_ALPHABET) {
    for (const b of CODE_ALPHABET) {
      for (const c of CODE_ALPHABET) {
        const other = writeCode(`${a}${b}${c}`, code.split('-')[1]!.slice(0, -1));
        if (other !== code && codeShape(other) === codeShape(code)) return other;
      }
    }
  }
  throw new Error(`no code reads like ${code}`);
}
