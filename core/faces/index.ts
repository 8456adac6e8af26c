import { FAMILIES } from './families.ts';
import { type Family, SCRIPTS, STYLES, type Style } from './family.ts';

export * from './families.ts';
export * from './family.ts';

type Shipped = (typeof FAMILIES)[number];

/** A face of a family that ships with the program: `alegreya-bold`. */
export type ShippedFace = {
  [Id in Shipped['id']]: `${Id}-${Extract<Shipped, { id: Id }>['styles'][number]}`;
}[Shipped['id']];

/** A face of a publisher's own, by the hash of its content. */
export type OwnFace = `sha256-${string}`;

/** A face that words can be set in. */
export type FaceId = ShippedFace | OwnFace;

export const isOwnFace = (face: FaceId): face is OwnFace => face.startsWith('sha256-');

/** Raised when the packages of the typefaces are updated: a browser keeps the old ones until then. */
export const FACES_VERSION = 1;

const known = new Map<string, { family: Family; style: Style }>(
  FAMILIES.flatMap((family: Family) =>
    family.styles.map((style) => [`${family.id}-${style}`, { family, style }] as const),
  ),
);

/** All faces that ship, family by family. */
export const FACE_IDS = [...known.keys()] as ShippedFace[];

export const isShippedFace = (id: string): id is ShippedFace => known.has(id);

/** The family of a face. @throws RangeError for one that does not ship with the program */
export function familyOf(face: string): Family {
  const found = known.get(face);
  if (!found) throw new RangeError(`There is no typeface “${face}”.`);
  return found.family;
}

/** Where the license of a family lies. */
export const licenseFile = ({ id, folder }: Family): string =>
  `${folder ?? `@expo-google-fonts/${id}`}/LICENSE_FONT`;

/** The scripts of a family beside Latin, by name. */
export const otherScripts = ({ scripts }: Family): string[] =>
  scripts.filter((script) => script !== 'latin' && script !== 'extended').map((script) => SCRIPTS[script]);

/** Where a face lies: a file of a package, static TrueType, with its license beside it. @throws RangeError */
export function faceFile(face: string): string {
  const { id, file, folder } = familyOf(face);
  const style = STYLES[known.get(face)!.style];
  return `${folder ?? `@expo-google-fonts/${id}/${style}`}/${file}_${style}.ttf`;
}

/** The face of a family for titles: its last style. */
export const titleFace = ({ id, styles }: Family): ShippedFace => `${id}-${styles.at(-1)!}` as ShippedFace;

/** The face of a family for text: its regular, or whatever it has. */
export const textFace = ({ id, styles }: Family): ShippedFace =>
  `${id}-${styles.includes('regular') ? 'regular' : styles[0]}` as ShippedFace;

/** What stands for bold, the best first. */
const BOLD = ['bold', 'extrabold', 'semibold', 'black', 'medium'] as const;

/**
 * The face of the same family that emphasizes: bold, italic or both. As much of it as the family has; a publisher's own
 * face stands alone and is answered as it is.
 */
export function emphasizedFace(
  face: FaceId,
  { bold = false, italic = false }: { bold?: boolean; italic?: boolean },
): FaceId {
  const { family, style } = known.get(face) ?? {};
  if (!family || !style || !(bold || italic)) return face;
  const is = { heavy: /bold|black/.test(style), slanted: style.includes('italic') };
  const heavy = bold || is.heavy;
  const slanted = italic || is.slanted;
  if (heavy === is.heavy && slanted === is.slanted) return face;
  const one: readonly Style[] = heavy ? BOLD : ['italic'];
  const both: readonly Style[] = ['bold-italic', ...(is.heavy || is.slanted ? [] : BOLD)];
  const wanted = heavy && slanted ? both : one;
  const found = wanted.find((each) => family.styles.includes(each)) ?? style;
  return `${family.id}-${found}` as ShippedFace;
}

/** Faces with serifs, so that a letter that is missing comes from one with serifs too. */
const hasSerifs = ({ mood, id }: Family): boolean =>
  mood === 'text-serif' ||
  mood === 'slab' ||
  ['abril-fatface', 'dm-serif-display', 'fraunces', 'playfair-display'].includes(id);

/**
 * Faces that are asked in this order for a letter that a face does not have: by the script of the letter (Unicode
 * UAX #24), with serifs or without, bold or not, as the face itself is. Signs and notes come last.
 */
export function fallbackFaces(face: string, codePoint: number): readonly ShippedFace[] {
  const { family, style } = known.get(face) ?? { family: FAMILIES[0] as Family, style: 'regular' };
  const serif = hasSerifs(family);
  const weight = /bold|black/.test(style) ? 'bold' : 'regular';
  return /\p{Script=Hebrew}/u.test(String.fromCodePoint(codePoint))
    ? [serif ? `frank-ruhl-libre-${weight}` : `noto-sans-hebrew-${weight}`]
    : [
        serif ? `noto-serif-${weight}` : `noto-sans-${weight}`,
        'noto-sans-symbols-2-regular',
        'noto-music-regular',
      ];
}
