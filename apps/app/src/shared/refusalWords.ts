import type { AnyRefusal } from '@/data/store/HouseholdStore';
import { counted } from '@/kit/text/counted';

export type { AnyRefusal } from '@/data/store/HouseholdStore';

/** Why something could not be done, in one sentence a person can act on. */
export function refusalWords(refusal: AnyRefusal): string {
  switch (refusal.kind) {
    case 'holds_stock': {
      if (refusal.entity === 'lot') return 'There is still some of it; take or throw out what is left first.';
      if (refusal.entity === 'item') return 'There is still some of it at home; take or throw out what is left first.';
      const parts = [
        refusal.lots > 0 ? counted(refusal.lots, { one: '# thing', other: '# things' }) : '',
        refusal.nooks > 0 ? counted(refusal.nooks, { one: '# place', other: '# places' }) : '',
      ].filter((part) => part !== '');
      return `It still holds ${parts.join(' and ')}; say first where they go.`;
    }
    case 'code_taken':
      return `The code ${refusal.code} is on another place already; give this one a new code.`;
    case 'would_contain_itself':
      return refusal.entity === 'kit'
        ? 'A kit cannot be part of itself, nor of a kit that is part of it.'
        : 'A bin cannot stand inside itself.';
    case 'parent_missing':
      return 'The place it should go to is no longer there.';
    case 'unknown_id':
      return 'It is no longer there; somebody may have removed it.';
    case 'id_taken':
      if (refusal.entity === 'round_tick') return 'Somebody else has done this step already; it is booked once.';
      if (refusal.entity === 'pill_fill')
        return 'Somebody else has filled this box for these days already; it is booked once.';
      return 'It is there already.';
    case 'code_reads_alike':
      return `The code ${refusal.code} would be taken for ${refusal.other} on a worn label; give this one another code.`;
    case 'retired':
      return (
        {
          bin: 'The bin has been removed meanwhile.',
          shelf: 'The shelf has been removed meanwhile.',
          space: 'The space has been removed meanwhile.',
          item: 'The thing has been taken off the list meanwhile.',
        }[refusal.entity as string] ?? 'It has been removed meanwhile.'
      );
    case 'never_retired':
      return 'This cannot be removed.';
    case 'only_one':
      return 'There is one already, and there can be only one.';
    case 'not_allowed':
      return 'Only an adult of this home may change that.';
    case 'already_put_away':
      return 'Somebody has put it away already; it is in the stock once.';
    case 'ends_before_it_begins':
      return `The last day, ${refusal.toOn}, is before the first, ${refusal.fromOn}.`;
    case 'unknown_event':
    case 'undoes_nothing':
      return 'There is nothing to take back: it never reached the home.';
    case 'event_of_other_lot':
      return 'It belongs to something else and cannot be taken back here.';
    case 'too_many_rows':
      return `That would change more than ${refusal.most} things at once; do it in parts.`;
    case 'not_accepted':
      return `It was not accepted: ${refusal.detail}`;
    case 'not_kept':
      return 'This device could not keep the change, so it was not made: its storage is full, or the browser has cleared it. Make room or reload the page, then try again.';
  }
}
