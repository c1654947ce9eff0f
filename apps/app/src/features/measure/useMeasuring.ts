import {
  asShelfAbove,
  coldRoom,
  findContradictions,
  measureQuestions,
  modelSpace,
  neededQuestions,
  opsForFollowing,
  opsForHeights,
  opsForMeasuring,
  opsForMovingShelf,
  restingHeight,
  surfacesOf,
  type MeasureAnswer,
  type MeasureQuestion,
  type ShelfRow,
  type SpaceRow,
} from '@ours/core';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useHome } from '@/shared/useHome';
import { useUndoStack } from '@/shared/useUndoStack';
import { shelfWords } from '@/shared/placeWords';
import { contradictionWords } from './words';

/** Fewer surfaces are asked for one by one. */
const LEAST_IN_ONE_GO = 3;

const keyOf = ({ id, key }: { id: string; key: string }): string => `${id}/${key}`;

/** Measuring a space: the question that is asked now, answering it and going on, and what the figures say so far. */
export function useMeasuring(space: SpaceRow) {
  const { unit } = useHome();
  const history = useUndoStack();
  const { shelves, names, contradictions, cold } = useHousehold(({ state }) => {
    const rows = state.shelvesOf(space.id);
    const nameOf = (nookId: string): string => {
      const nook = state.nook(nookId);
      return nook?.kind === 'shelf' ? shelfWords(state, nook.row) : (nook?.row.name ?? '');
    };
    return {
      shelves: rows,
      names: new Map(rows.map((row) => [row.id, nameOf(row.id)])),
      contradictions: findContradictions(state, space.id).map((one) => contradictionWords(one, unit, nameOf)),
      cold: ['chest_freezer', 'upright_freezer', 'refrigerator'].includes(space.kind)
        ? coldRoom(state, space.id)
        : null,
    };
  });
  const all = measureQuestions(space, shelves);
  // What a plan needs comes first; then what matters only now and then.
  const needed = neededQuestions(all, space, shelves);
  const questions = [...needed, ...all.filter((one) => !needed.includes(one))];
  // After a pattern nothing is measured yet, though everything has a figure.
  const { guess } = useLocalSearchParams<{ guess?: string }>();
  const firstOpen = guess === '1' ? 0 : questions.findIndex(({ value }) => value === null);
  const [at, setAt] = useState(Math.max(0, firstOpen));
  const [measured, setMeasured] = useState<readonly string[]>([]);
  const [singly, setSingly] = useState(false);
  const [unreached, setUnreached] = useState<readonly string[]>([]);
  const question = questions[Math.min(at, questions.length - 1)];
  const asked = Math.min(at, questions.length - 1);
  const isOpen = (one: MeasureQuestion): boolean =>
    one.value === null || (guess === '1' && !measured.includes(keyOf(one)));
  const open = needed.filter(isOpen);
  const surfaces = surfacesOf(space, shelves);
  const ofSurfaces = needed.filter(({ id, key }) => key === 'bottom' && surfaces.some((one) => one.id === id));
  // Worth it from three on, and while none of them was asked for singly.
  const asList =
    !singly &&
    ofSurfaces.length >= LEAST_IN_ONE_GO &&
    ofSurfaces.length === surfaces.length &&
    ofSurfaces.every(isOpen);
  const inOneGo = asList && question !== undefined && ofSurfaces.includes(question);
  /** What one list answers besides its first height. */
  const listed = asList ? ofSurfaces.length - 1 : 0;
  const isGuessed =
    ({ key }: MeasureQuestion) =>
    ({ id }: ShelfRow): boolean =>
      !measured.includes(keyOf({ id, key }));
  const above = question ? asShelfAbove(question, shelves) : null;
  return {
    names,
    /** Answers until it can be planned; a list of heights is one. */
    answersLeft: open.length - listed,
    /** Of what was measured, not of what a pattern guesses. */
    someCanBePlanned: guess !== '1' && modelSpace(space, shelves).shelves.length > 0,
    isNeeded: question !== undefined && needed.includes(question),
    /** The heights of so many surfaces are asked for as one list. */
    inOneGo: inOneGo ? surfaces.length : null,
    askSingly: () => setSingly(true),
    /** What the shelf above has for the same question. */
    same: above ? { name: names.get(above.shelf.id) ?? '', tenthMm: above.tenthMm } : null,
    saveHeights: async (heights: readonly number[]): Promise<void> => {
      setMeasured((before) => [...before, ...ofSurfaces.map(keyOf)]);
      if (await history.change('measured', opsForHeights(space, surfaces, heights)))
        setAt(Math.min(questions.length - 1, questions.indexOf(ofSurfaces.at(-1)!) + 1));
    },
    contradictions,
    cold,
    questions,
    question,
    /** Which question it is, counted from 1. */
    number: asked + 1,
    count: questions.length,
    /** Which it is of those that a plan needs, or of the others. */
    place:
      asked < needed.length
        ? { number: asked + 1, count: needed.length - listed }
        : { number: asked - needed.length + 1, count: questions.length - needed.length },
    /** Whether its figure comes from a pattern and nobody has measured it. */
    isGuess: guess === '1' && question !== undefined && !measured.includes(keyOf(question)),
    save: async (value: MeasureAnswer): Promise<boolean> => {
      if (!question) return false;
      setMeasured((before) => [...before, keyOf(question)]);
      const ops = opsForMeasuring(space, shelves, question, value);
      // A pattern's shelves are as wide and deep as its space: with the space measured they follow it.
      return history.change(
        'measured',
        guess === '1' ? [...ops, ...opsForFollowing(question, surfaces.filter(isGuessed(question)))] : ops,
      );
    },
    /** Asks one of them out of turn. */
    ask: (one: MeasureQuestion) => setAt(Math.max(0, questions.indexOf(one))),
    change: history.change,
    /** Nobody gets at it now: it stays open, and is said to be. */
    leaveOpen: (): void => {
      if (question) setUnreached((before) => [...before, keyOf(question)]);
      setAt((now) => Math.min(questions.length - 1, now + 1));
    },
    isUnreached: (one: MeasureQuestion): boolean => one.value === null && unreached.includes(keyOf(one)),
    next: () => setAt((now) => Math.min(questions.length - 1, now + 1)),
    back: at > 0 ? () => setAt((now) => Math.max(0, now - 1)) : null,
    /** Sets a shelf onto the hole nearest to a height. */
    moveShelf: (shelfId: string, wanted: number): void => {
      const shelf = shelves.find((one) => one.id === shelfId);
      if (!shelf) return;
      void history.change('shelf_moved', opsForMovingShelf(space, shelves, shelf, restingHeight(space, shelf, wanted)));
    },
    undo: history.undo
      ? () => {
          setMeasured((before) => before.slice(0, -1));
          history.undo?.();
        }
      : null,
    redo: history.redo,
  };
}
