const KEY = 'nook.speech';

/** Whether lines are spoken on this device: off until somebody switches it on. */
export function isSpeechOn(): boolean {
  try {
    return localStorage.getItem(KEY) === 'on';
  } catch {
    return false;
  }
}
export function setSpeechOn(on: boolean): void {
  try {
    localStorage.setItem(KEY, on ? 'on' : 'off');
  } catch {
    // Then it is off again when the app is opened the next time.
  }
}

/** What this browser offers of the Web Speech API (W3C community report); null: nothing. */
export function recognitionOf(): (new () => Recognition) | null {
  const of = globalThis as {
    SpeechRecognition?: new () => Recognition;
    webkitSpeechRecognition?: new () => Recognition;
  };
  return of.SpeechRecognition ?? of.webkitSpeechRecognition ?? null;
}
export interface Recognition {
  lang: string;
  interimResults: boolean;
  onresult: ((event: { results: ArrayLike<ArrayLike<{ transcript: string }> & { isFinal: boolean }> }) => void) | null;
  onerror: ((event: { error: string }) => void) | null;
  onend: (() => void) | null;
  start: () => void;
  abort: () => void;
}
