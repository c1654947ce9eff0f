import {
  type HouseholdState,
  listedItem,
  tripPlan,
  tripsAhead,
  type CivilDate,
  type ListedItem,
  type OutlookAnswer,
  type OutlookProblem,
  type Trip,
} from '@ours/core';
import { aMoment } from '@/data/store/idle';
import type { HouseholdStore } from '@/data/store/HouseholdStore';
import { runJob } from '@/jobs/runJob';

/** What is known of how long things last, for one moment of the home. */
export interface Outlook {
  answer: OutlookAnswer;
  trip: Trip;
  trips: readonly Trip[];
  today: CivilDate;
}

/** Items looked up between two looks at what the person does. */
const READ_AT_ONCE = 250;
/** Changes that come close together are worked out once. */
const SETTLE_MS = 120;

/**
 * The outlook of one home, worked out beside the page whenever something has changed and somebody looks. Until the new one is
 * there the last one is shown.
 */
export class OutlookStore {
  private readonly listeners = new Set<() => void>();
  private shown: Outlook | null = null;
  private shareDone = 0;
  private failure: string | null = null;
  private madeFor = '';
  private wanted = '';
  private stop: (() => void) | null = null;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private unsubscribe: (() => void) | null = null;

  constructor(
    private readonly store: HouseholdStore,
    private readonly today: () => CivilDate,
  ) {}

  get outlook(): Outlook | null {
    return this.shown;
  }
  /** How far the first one is, 0 to 1. */
  get share(): number {
    return this.shareDone;
  }
  get problem(): string | null {
    return this.failure;
  }

  subscribe(listener: () => void): () => void {
    this.listeners.add(listener);
    this.unsubscribe ??= this.store.subscribe(() => this.want());
    this.want();
    return () => {
      this.listeners.delete(listener);
      if (this.listeners.size > 0) return;
      this.unsubscribe?.();
      this.unsubscribe = null;
      this.stop?.();
      this.stop = null;
      if (this.timer !== null) clearTimeout(this.timer);
      this.timer = null;
      // Who comes back before it was done has it worked out again.
      this.wanted = '';
    };
  }

  private want(): void {
    const key = `${this.store.version} ${this.today()}`;
    if (!this.store.isWhole || key === this.wanted || (key === this.madeFor && this.shown)) return;
    this.wanted = key;
    if (this.timer !== null) clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.work(key), this.shown ? SETTLE_MS : 0);
  }

  private async work(key: string): Promise<void> {
    this.stop?.();
    const { state } = this.store;
    const today = this.today();
    const trips = tripsAhead(state.all('shop'), today);
    const trip = trips[0];
    if (!trip) return;
    const items = await this.readItems(state, key);
    if (items === null) return;
    const problem: OutlookProblem = { items, plan: tripPlan(state, trips, trip, today) };
    this.stop = runJob('outlook', problem, (message) => {
      if (message.kind === 'failed') this.failure = message.problem;
      else if (message.kind === 'news') {
        this.shareDone = message.news.share;
        if (message.news.answer) {
          this.shown = { answer: message.news.answer, trip, trips, today };
          this.failure = null;
          this.madeFor = key;
        } else if (this.shown) return;
      } else return;
      this.tell();
    });
  }

  /** @returns null when something else is wanted in the meantime */
  private async readItems(state: HouseholdState, key: string): Promise<ListedItem[] | null> {
    const items: ListedItem[] = [];
    const rows = state.all('item');
    for (let at = 0; at < rows.length; at += READ_AT_ONCE) {
      if (at > 0) await aMoment();
      if (this.wanted !== key || this.listeners.size === 0) return null;
      for (const item of rows.slice(at, at + READ_AT_ONCE)) items.push(listedItem(state, item));
    }
    return items;
  }

  private tell(): void {
    for (const listener of this.listeners) listener();
  }
}

const stores = new WeakMap<HouseholdStore, OutlookStore>();
/** The outlook of a home on this device. */
export function outlookOf(store: HouseholdStore, today: () => CivilDate): OutlookStore {
  const known = stores.get(store);
  if (known) return known;
  const made = new OutlookStore(store, today);
  stores.set(store, made);
  return made;
}
