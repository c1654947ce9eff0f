export { ActionsButton, KeysAnywhere } from './KeysAnywhere';
