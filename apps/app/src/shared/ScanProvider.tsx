import { readScan, type ScanReading } from '@ours/core';
import { createContext, useCallback, useContext, useEffect, useMemo, useRef, type ReactNode } from 'react';
import { useToast } from '@/kit/feedback/Toasts';
import { Wedge } from '@/kit/scan/wedge';
import { today } from './opContext';

/** By what a code was read. */
export type ScannedBy = 'camera' | 'picture' | 'scanner' | 'typed';
export interface Scan {
  text: string;
  reading: ScanReading;
  by: ScannedBy;
}
/** Takes a scan, or answers false: it is for somebody else. */
export type OnScan = (scan: Scan) => boolean;

interface ScanContextValue {
  emit: (text: string, by: ScannedBy) => void;
  listen: (take: OnScan) => () => void;
}
const ScanContext = createContext<ScanContextValue>({ emit: () => undefined, listen: () => () => undefined });

/** The same code again within so short a time was read twice by accident. */
const TWICE_MS = 2000;

const mayBeCode = (text: string): boolean => readScan(text, today()).kind !== 'unreadable' || /^\d{8,}$/.test(text);

/** Brings what is scanned, by whatever, to whoever is asked first: the page that is open, else whoever was there before it. */
export function ScanProvider({ children }: { children: ReactNode }) {
  const toast = useToast();
  const takers = useRef<OnScan[]>([]);
  const last = useRef({ text: '', at: 0 });
  const emit = useCallback(
    (text: string, by: ScannedBy): void => {
      const now = Date.now();
      const again = text === last.current.text && now - last.current.at < TWICE_MS && by !== 'typed';
      last.current = { text, at: now };
      if (again) {
        // A camera sees the same code in picture after picture: that is no second scan.
        if (by === 'scanner')
          toast({ text: 'Scanned twice: taken once. Scan it again after two seconds for one more.' });
        return;
      }
      const scan: Scan = { text, reading: readScan(text, today()), by };
      for (const take of [...takers.current].reverse()) if (take(scan)) return;
    },
    [toast],
  );
  const listen = useCallback((take: OnScan) => {
    takers.current.push(take);
    return () => {
      takers.current = takers.current.filter((one) => one !== take);
    };
  }, []);
  useEffect(() => {
    const wedge = new Wedge(mayBeCode, (text) => emit(text, 'scanner'));
    const hear = (event: KeyboardEvent): void => {
      if (!wedge.key(event)) return;
      event.preventDefault();
      event.stopPropagation();
    };
    window.addEventListener('keydown', hear, true);
    return () => window.removeEventListener('keydown', hear, true);
  }, [emit]);
  const value = useMemo(() => ({ emit, listen }), [emit, listen]);
  return <ScanContext.Provider value={value}>{children}</ScanContext.Provider>;
}

/** Takes scans while this is shown; what it answers false to goes to whoever was there before. */
export function useScanned(take: OnScan): void {
  const { listen } = useContext(ScanContext);
  const latest = useRef(take);
  useEffect(() => {
    latest.current = take;
  });
  useEffect(() => listen((scan) => latest.current(scan)), [listen]);
}

/** Hands on what was read. */
export const useEmitScan = (): ScanContextValue['emit'] => useContext(ScanContext).emit;
