let names: Intl.DisplayNames | null = null;

/** A language as the interface calls it: “de” is German, “en-GB” is British English. @param code as a recipe has it */
export function languageName(code: string): string {
  // Made when first asked: it takes longer than most of what a page does before it is drawn.
  names ??= new Intl.DisplayNames(['en-US'], { type: 'language' });
  return names.of(code) ?? code;
}
