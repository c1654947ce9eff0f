export { cutBars, type CutPlan, dividerStrips, linersFromRoll, NOMINAL_BOARDS, riserPieces } from './cutting';
