export { CutLists } from './CutLists';
