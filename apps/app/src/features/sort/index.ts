export { SCHOOL_CHOICES, SCHOOL_WORDS } from './words';
