/** Its own types are not found through its `exports`. */
declare module 'generate-maze' {
  export default function generate(width: number, height: number, closed: boolean, seed: number): unknown[];
}
