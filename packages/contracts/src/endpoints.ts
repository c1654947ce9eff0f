import type { ChangePage, CommandBatch, CommandBatchAnswer, HistoryEntry, ItemEvent } from './commands';
import type { NewCalendarFeed } from './calendarFeed';
import type { FiguresAnswer } from './figures';
import type { LookPage, LookView, NewLook } from './looks';
import type { CalendarHolds } from './wire';
import type { HomeView, InvitationView, Me, PhoneView, SessionView, SignIn, SignUp } from './accounts';

/**
 * Everything the server answers as JSON under `/api`: by method and path what it takes and what it answers. Both sides are
 * typed by it. `GET /nudges` is a stream and not among them.
 */
export interface Endpoints {
  'GET /status': { answer: { demo: boolean } };
  'POST /accounts': { body: SignUp; answer: Me };
  'POST /sessions': { body: SignIn; answer: Me };
  'POST /demo-session': { body: Record<string, never>; answer: Me };
  'GET /me': { answer: Me };
  'GET /sessions': { answer: { sessions: SessionView[] } };
  /** The phones of the home, by when the server last heard of them; `now` by its clock. */
  'GET /phones': { answer: { now: string; phones: PhoneView[] } };
  /** A new address for a calendar; the former one ends. */
  'POST /calendar-feed': { body: NewCalendarFeed; answer: { path: string } };
  'DELETE /calendar-feed': { answer: undefined };
  'GET /calendar-feed': { answer: { since: string | null; holds: CalendarHolds[] } };
  'GET /looks': { answer: { looks: LookView[] } };
  /** A new address for somebody without an account; its secret is told only now. */
  'POST /looks': { body: NewLook; answer: { look: LookView; path: string } };
  'DELETE /looks/:id': { params: { id: string }; answer: undefined };
  'GET /look/:secret': { params: { secret: string }; answer: LookPage };
  'DELETE /sessions/current': { answer: undefined };
  'DELETE /sessions/:id': { params: { id: string }; answer: undefined };
  'POST /sessions/current/home': { body: { householdId: string }; answer: Me };
  'GET /homes': { answer: { homes: HomeView[] } };
  'POST /invitations': { answer: InvitationView };
  'POST /memberships': { body: { invitation: string }; answer: Me };
  'GET /history': { answer: { entries: HistoryEntry[] } };
  /** The newest events of a thing's lots, the newest first. */
  'GET /items/:id/events': { params: { id: string }; answer: { events: ItemEvent[] } };
  'GET /figures': { answer: FiguresAnswer };
  'GET /changes': { query: { since: number; cursor?: string }; answer: ChangePage };
  'POST /commands': { body: CommandBatch; answer: CommandBatchAnswer };
}
export type Endpoint = keyof Endpoints;

/** What an endpoint answers; undefined where it answers 204. */
export type AnswerOf<E extends Endpoint> = Endpoints[E]['answer'];
/** What an endpoint takes: its body, the parts of its path, its query. */
export type AskOf<E extends Endpoint> = Omit<Endpoints[E], 'answer'>;
