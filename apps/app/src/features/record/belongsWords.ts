import type { Belonging } from '@ours/core';
import { counted } from '@/kit/text/counted';

/** Why a thing would belong somewhere: `12 of 14 things there are #boat.` */
export function belongsWords({ why, locked }: Pick<Belonging, 'why' | 'locked'>): string {
  const reason = reasonOf(why);
  return locked ? `${reason} It is locked, and a child should not get at this.` : reason;
}

function reasonOf(why: Belonging['why']): string {
  switch (why.kind) {
    case 'itself':
      return 'Most of it is there.';
    case 'front':
      return 'It is taken from there day by day.';
    case 'called':
      return `The bin is called “${why.word}”, too.`;
    case 'purpose':
      return `The shelf is for ${why.words}.`;
    case 'like': {
      const { by, word, count, of } = why;
      if (by === 'name')
        return counted(count, {
          one: `# of ${of} things there has “${word}” in its name.`,
          other: `# of ${of} things there have “${word}” in their name.`,
        });
      // The sign of a tag is no place for a number.
      const what = by === 'tag' ? `#${word}` : word;
      return `${counted(count, { one: `# of ${of} things there is`, other: `# of ${of} things there are` })} ${what}.`;
    }
  }
}
