export { FloorBoard } from './FloorBoard';
export { LoadBar } from './LoadBar';
