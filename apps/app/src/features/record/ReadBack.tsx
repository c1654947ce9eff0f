import type { ReactNode } from 'react';
import { codeProblemWords } from '@/kit/text/codeWords';
import { Small } from '@/kit/text/Text';
import { Proposals } from './Proposals';
import { RecordCard } from './RecordCard';
import type { useRecording } from './useRecording';

type Recording = ReturnType<typeof useRecording>;

/** How the line is read: what is wrong with its code, what else it may be, and its card. */
export function ReadBack({ recording, nookId, hint }: { recording: Recording; nookId: string; hint?: ReactNode }) {
  const { card, codeProblem } = recording;
  return (
    <>
      {codeProblem ? <Small role="alert">{codeProblemWords(codeProblem)}</Small> : null}
      <Proposals card={card} onPick={recording.correct} />
      {hint}
      {codeProblem ? null : (
        <RecordCard card={card} nookId={nookId} onChange={recording.correct} onSave={() => void recording.save()} />
      )}
    </>
  );
}
