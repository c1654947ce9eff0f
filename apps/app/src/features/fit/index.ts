export { FloorBoard } from './FloorBoard';
export { LoadBar } from './LoadBar';
export { loadWords, sizeWords, smallLength } from './words';
