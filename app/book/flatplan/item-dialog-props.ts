import type { Section } from '#core/book/sections.ts';

/** What a dialog about one item of a section is given. */
export interface ItemDialogProps {
  section: Section;
  item: number;
  /** Its name in the book: “Puzzle 12”. */
  label: string;
  onClose: () => void;
}
