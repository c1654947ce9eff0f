/** The package's own types stand beside its CommonJS build; Node 20 needs the module file. */
declare module 'maxrects-packer/dist/maxrects-packer.mjs' {
  export { MaxRectsPacker } from 'maxrects-packer';
}
