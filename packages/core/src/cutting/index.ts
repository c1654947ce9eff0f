export { type DividedDrawer, divideDrawer, SECTION_SLACK_TENTH_MM, type SectionThing } from './divideDrawer';
export { cutBars, type CutPlan, dividerStrips, linersFromRoll, NOMINAL_BOARDS, riserPieces } from './cutting';
