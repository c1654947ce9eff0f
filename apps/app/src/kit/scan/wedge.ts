/** A scanner that types: told from a person by its rhythm. */

/** Between two letters of a scanner pass at most so many milliseconds; people need two or three times that. Own default. */
const GAP_MS = 40;
/** The shortest code that is read. */
const LEAST_LETTERS = 6;

type TextField = HTMLInputElement | HTMLTextAreaElement;
interface Burst {
  text: string;
  lastMs: number;
  /** Into which field it went, and what stood there before. */
  field: TextField | null;
  before: string;
}
/** What matters of a key press. */
export interface WedgeKey {
  key: string;
  timeStamp: number;
  ctrlKey: boolean;
  metaKey: boolean;
  altKey: boolean;
}

const fieldNow = (): TextField | null => {
  const active = document.activeElement;
  return active instanceof HTMLInputElement || active instanceof HTMLTextAreaElement ? active : null;
};

/** Puts back what stood in a field before a scanner typed into it, so that the page notices. */
function putBack({ field, before }: Burst): void {
  if (!field) return;
  const prototype = field instanceof HTMLInputElement ? HTMLInputElement.prototype : HTMLTextAreaElement.prototype;
  Object.getOwnPropertyDescriptor(prototype, 'value')?.set?.call(field, before);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/**
 * Hears keys and says when they were a scan: letters in quick succession, ended by Enter or Tab.
 * @param isCode whether a text can be a code at all: whoever types very fast types no code
 */
export class Wedge {
  private burst: Burst | null = null;

  constructor(
    private readonly isCode: (text: string) => boolean,
    private readonly onScan: (text: string) => void,
  ) {}

  /** @returns whether this key ended a scan and must do nothing else */
  key({ key, timeStamp, ctrlKey, metaKey, altKey }: WedgeKey): boolean {
    if (ctrlKey || metaKey || altKey) return false;
    const quick = this.burst !== null && timeStamp - this.burst.lastMs <= GAP_MS;
    if (key === 'Enter' || key === 'Tab') {
      const { burst } = this;
      this.burst = null;
      if (!burst || !quick || burst.text.length < LEAST_LETTERS || !this.isCode(burst.text)) return false;
      putBack(burst);
      this.onScan(burst.text);
      return true;
    }
    // Shift and the like belong to the letter that follows.
    if (key.length !== 1) return false;
    if (!this.burst || !quick) {
      const field = fieldNow();
      this.burst = { text: '', lastMs: timeStamp, field, before: field?.value ?? '' };
    }
    this.burst.text += key;
    this.burst.lastMs = timeStamp;
    return false;
  }
}
