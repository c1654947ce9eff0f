export { FloorBoard } from './FloorBoard';
export { LoadBar } from './LoadBar';
export { FloorView } from './FloorView';
