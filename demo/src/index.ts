export { buildDemoHome, DEMO_SEED, type DemoHome } from './buildDemoHome';
export { seededRandom, seededUuid, type SeededRandom } from './seededRandom';
