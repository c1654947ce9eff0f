import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex } from '@noble/hashes/utils';
import { ACCOUNT_HEADER, HOME_HEADER } from '@ours/contracts/wire';
import { deleteDB, openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { About } from '@/data/api/api';

interface Shape extends DBSchema {
  /** Pictures by what they are; `sent`: the server has it. */
  pictures: { key: string; value: { hash: string; blob: Blob; sent: boolean } };
  /** Places whose pictures stay on this device. */
  places: { key: string; value: string };
}
const nameOf = (householdId: string): string => `nook-pictures-${householdId}`;
const PATIENCE_MS = 30_000;

/** SHA-256 of some bytes, as the server names them. Not the browser's own: that is there over https only. */
export const hashOfPicture = (bytes: Uint8Array): string => bytesToHex(sha256(bytes));

export const forgetPhotos = (householdId: string): Promise<void> => deleteDB(nameOf(householdId));

/** What became of sending: `gone` are pictures that the server will never take. */
export interface Sent {
  sent: number;
  left: number;
  refused: number;
}

/**
 * The pictures on this device: those that were taken here until the server has them, and those of places that are to be seen
 * without a signal.
 */
export class PhotoBox {
  private db: Promise<IDBPDatabase<Shape>> | null = null;
  private sending: Promise<Sent> | null = null;
  private readonly told = new Set<() => void>();

  constructor(
    private readonly about: About,
    private readonly ask: typeof fetch = (...given) => fetch(...given),
  ) {}

  private open(): Promise<IDBPDatabase<Shape>> {
    return (this.db ??= openDB<Shape>(nameOf(this.about.householdId), 1, {
      upgrade(fresh) {
        fresh.createObjectStore('pictures', { keyPath: 'hash' });
        fresh.createObjectStore('places');
      },
    }));
  }

  /** Keeps a picture that was taken here; it is sent later. @returns its hash */
  async keep(blob: Blob): Promise<string> {
    const hash = hashOfPicture(new Uint8Array(await blob.arrayBuffer()));
    const db = await this.open();
    const known = await db.get('pictures', hash);
    if (!known) await db.put('pictures', { hash, blob, sent: false });
    this.tell();
    return hash;
  }

  /** A picture: from here, else from the server; null: it is not here and the server cannot be reached or does not have it. */
  async get(hash: string, keepIt: boolean): Promise<Blob | null> {
    const db = await this.open();
    const known = await db.get('pictures', hash);
    if (known) return known.blob;
    try {
      const answer = await this.ask(`/api/photos/${hash}`, {
        headers: this.headers(),
        signal: AbortSignal.timeout(PATIENCE_MS),
      });
      if (!answer.ok) return null;
      const blob = await answer.blob();
      if (keepIt) await db.put('pictures', { hash, blob, sent: true });
      return blob;
    } catch {
      return null;
    }
  }

  /** How many pictures only this device has. */
  async unsent(): Promise<number> {
    const db = await this.open();
    return (await db.getAll('pictures')).filter(({ sent }) => !sent).length;
  }

  /** Sends what the server does not have yet, one after the other; stops at the first that cannot be sent now. */
  send(): Promise<Sent> {
    this.sending ??= this.sendAll().finally(() => (this.sending = null));
    return this.sending;
  }

  private async sendAll(): Promise<Sent> {
    const db = await this.open();
    const waiting = (await db.getAll('pictures')).filter(({ sent }) => !sent);
    let [sent, refused] = [0, 0];
    for (const picture of waiting) {
      let status: number;
      try {
        const answer = await this.ask(`/api/photos/${picture.hash}`, {
          method: 'PUT',
          headers: { ...this.headers(), 'content-type': picture.blob.type },
          body: picture.blob,
          signal: AbortSignal.timeout(PATIENCE_MS),
        });
        status = answer.status;
      } catch {
        break;
      }
      if (status === 204) {
        sent++;
        await db.put('pictures', { ...picture, sent: true });
        this.tell();
      } else if (status === 413 || status === 415) refused++;
      else break;
    }
    return { sent, refused, left: waiting.length - sent };
  }

  /** Whether the pictures of a place stay on this device. */
  async isKept(placeId: string): Promise<boolean> {
    return (await (await this.open()).get('places', placeId)) !== undefined;
  }

  async setKept(placeId: string, kept: boolean): Promise<void> {
    const db = await this.open();
    if (kept) await db.put('places', placeId, placeId);
    else await db.delete('places', placeId);
  }

  /** Fetches these, to be seen without a signal. @returns how many could not be had */
  async fetchAll(hashes: readonly string[]): Promise<number> {
    let missing = 0;
    for (const hash of hashes) if ((await this.get(hash, true)) === null) missing++;
    return missing;
  }

  /** Lets go of these, but never of one that the server does not have. */
  async letGo(hashes: readonly string[]): Promise<void> {
    const db = await this.open();
    for (const hash of hashes) if ((await db.get('pictures', hash))?.sent) await db.delete('pictures', hash);
  }

  /** Calls back when more or fewer wait to be sent; answers how to stop. */
  subscribe(tell: () => void): () => void {
    this.told.add(tell);
    return () => this.told.delete(tell);
  }

  private tell(): void {
    for (const tell of this.told) tell();
  }

  async close(): Promise<void> {
    (await this.db)?.close();
  }

  private headers(): Record<string, string> {
    return { [HOME_HEADER]: this.about.householdId, [ACCOUNT_HEADER]: this.about.accountId };
  }
}
