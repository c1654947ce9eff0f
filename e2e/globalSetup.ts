import { prepareTemplate } from './HomeServer';

/** Each worker has a server of its own: the demo home is loaded once for all of them. */
export default prepareTemplate;
