import type { Response } from 'express';

/** The streams that are open on this server, so that stopping can end them. */
export class OpenStreams {
  private readonly open = new Set<Response>();

  /** @returns how to forget it again */
  add(stream: Response): () => void {
    this.open.add(stream);
    return () => void this.open.delete(stream);
  }

  endAll(): void {
    for (const stream of this.open) stream.end();
  }
}
