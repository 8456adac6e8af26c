import type { FaceId, OwnFace, ShippedFace } from './index.ts';

/** A face as a recipe names it: one that ships, or the name of a typeface among its resources. */
export type FaceChoice = ShippedFace | { typeface: string };

/** The faces of a house style: for titles, and for other words. */
export interface HouseFaces<Face> {
  display: Face;
  text: Face;
}

/** Where a recipe chooses none, or what it chose is not at hand. */
export const USUAL_FACES = {
  display: 'alegreya-bold',
  text: 'alegreya-sans-regular',
} as const satisfies HouseFaces<ShippedFace>;

/** What is needed of a recipe to know its faces. */
interface WithFaces {
  style: { typefaces: HouseFaces<FaceChoice> };
  resources: Readonly<Record<string, { hash: string }>>;
}

/** The face that is meant by a choice. */
export const faceOf = (choice: FaceChoice, resources: WithFaces['resources']): FaceId =>
  typeof choice === 'string' ? choice : (resources[choice.typeface]!.hash as OwnFace);

/** The faces of a house style, as far as they are at hand; the usual ones for those that are not. */
export function houseFaces(
  { style, resources }: WithFaces,
  type: { has(face: FaceId): boolean },
): HouseFaces<FaceId> {
  const atHand = (role: keyof HouseFaces<unknown>): FaceId => {
    const face = faceOf(style.typefaces[role], resources);
    return type.has(face) ? face : USUAL_FACES[role];
  };
  return { display: atHand('display'), text: atHand('text') };
}
