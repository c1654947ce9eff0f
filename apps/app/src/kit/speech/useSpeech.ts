import { useEffect, useRef, useState } from 'react';
import { recognitionOf, type Recognition } from './speechChoice';

const PROBLEMS: Readonly<Record<string, string>> = {
  'not-allowed': 'This browser was not allowed to listen. Allow the microphone for this address, or type the line.',
  'service-not-allowed': 'This browser turns no speech into text here. Type the line.',
  'no-speech': 'Nothing was heard. Press to speak again, or type the line.',
  network: 'This browser turns speech into text on a server, and that needs a signal. Type the line.',
  'audio-capture': 'There is no microphone. Type the line.',
};
const OTHER = 'That was not understood. Press to speak again, or type the line.';

/**
 * Turns what is said into text by the browser's own recognition.
 * @param onText what was said so far; `done`: it is the end of it
 */
export function useSpeech(onText: (text: string, done: boolean) => void): {
  listening: boolean;
  problem: string;
  start: () => void;
  stop: () => void;
} {
  const [listening, setListening] = useState(false);
  const [problem, setProblem] = useState('');
  const running = useRef<Recognition | null>(null);
  const tell = useRef(onText);
  useEffect(() => {
    tell.current = onText;
  });
  const stop = (): void => {
    running.current?.abort();
    running.current = null;
    setListening(false);
  };
  useEffect(() => () => running.current?.abort(), []);
  const start = (): void => {
    const Of = recognitionOf();
    if (!Of) return;
    running.current?.abort();
    const own = new Of();
    running.current = own;
    own.lang = navigator.language;
    own.interimResults = true;
    own.onresult = ({ results }) => {
      if (running.current !== own) return;
      const parts = Array.from(results);
      const text = parts.map((part) => part[0]?.transcript ?? '').join('');
      tell.current(
        text.trim(),
        parts.every(({ isFinal }) => isFinal),
      );
    };
    own.onerror = ({ error }) => {
      if (running.current === own && error !== 'aborted') setProblem(PROBLEMS[error] ?? OTHER);
    };
    own.onend = () => {
      if (running.current !== own) return;
      running.current = null;
      setListening(false);
    };
    setProblem('');
    setListening(true);
    own.start();
  };
  return { listening, problem, start, stop };
}
