declare module 'js-quantities' {
  export default function Qty(measure: string): { to(unit: string): { scalar: number } };
}
