const names = new Intl.DisplayNames(['en-US'], { type: 'language' });

/** A language as the interface calls it: “de” is German, “en-GB” is British English. @param code as a recipe has it */
export const languageName = (code: string): string => names.of(code) ?? code;
