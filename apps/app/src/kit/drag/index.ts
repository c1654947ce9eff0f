import { lazy } from 'react';

/** Few screens drag: what it takes is one part of the build, fetched when the first of them is drawn. Wants a Suspense around it. */
const load = () => import('./parts');
export const DragArea = lazy(() => load().then(({ DragArea }) => ({ default: DragArea })));
export const DropPlace = lazy(() => load().then(({ DropPlace }) => ({ default: DropPlace })));
export const Draggable = lazy(() => load().then(({ Draggable }) => ({ default: Draggable })));
