/** What all simulated devices have in common: knobs that are kept on this device, and whether they are there. */

const KEY = 'nook-simulated-';

/** A stand-in with knobs; whoever listens is told of each turn. */
export class Simulated<Knobs extends { there: boolean; battery: number | null }> {
  readonly simulated = true;
  protected knobs: Knobs;
  private readonly told = new Set<() => void>();

  constructor(
    private readonly name: string,
    start: Knobs,
  ) {
    this.knobs = { ...start, ...this.kept() };
  }

  private kept(): Partial<Knobs> {
    try {
      return JSON.parse(localStorage.getItem(KEY + this.name) ?? '{}') as Partial<Knobs>;
    } catch {
      return {};
    }
  }

  get now(): Readonly<Knobs> {
    return this.knobs;
  }

  turn(change: Partial<Knobs>): void {
    this.knobs = { ...this.knobs, ...change };
    try {
      localStorage.setItem(KEY + this.name, JSON.stringify(this.knobs));
    } catch {
      // Without room to keep them the knobs are as they are until the page is left.
    }
    for (const tell of this.told) tell();
  }

  isThere(): boolean {
    return this.knobs.there && this.knobs.battery !== 0;
  }
  battery(): number | null {
    return this.knobs.battery;
  }
  subscribe = (tell: () => void): (() => void) => {
    this.told.add(tell);
    return () => this.told.delete(tell);
  };
}
