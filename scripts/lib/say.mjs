/** Ends the program with one clear line instead of a stack. */
export class Stop extends Error {}

export const say = (text) => console.log(text);

/** Runs a script's main function; a Stop is told plainly. */
export function run(main) {
  main().catch((error) => {
    console.error(error instanceof Stop ? error.message : error);
    process.exit(1);
  });
}
