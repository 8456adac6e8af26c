import { type FaceChoice, faceOf, type HouseFaces } from '../faces/choice.ts';
import { isOwnFace } from '../faces/index.ts';
import type { Need } from '../pages/index.ts';
import { type Resources, typeface } from '../resources/index.ts';
import type { Typesetter } from '../scene/index.ts';
import type { Recipe } from './recipe.ts';

/** The typefaces among the resources that a house style names. */
export const faceNeeds = ({ style }: Pick<Recipe, 'style'>): Need[] =>
  Object.entries(style.typefaces as HouseFaces<FaceChoice>).flatMap(([role, choice]) =>
    typeof choice === 'string'
      ? []
      : [{ id: choice.typeface, type: typeface.id, path: `style.typefaces.${role}` }],
  );

/** Of the resources of a recipe, the typefaces of its house style: all that the front of a cover needs. */
export const faceResources = (recipe: Recipe): Recipe['resources'] =>
  Object.fromEntries(faceNeeds(recipe).map(({ id }) => [id, recipe.resources[id]!]));

/** Gives a typesetter the typefaces of a book that were gathered, so that words can be set in them. */
export function addTypefaces(type: Typesetter, recipe: Recipe, resources: Resources): void {
  for (const { id } of faceNeeds(recipe)) {
    const face = faceOf({ typeface: id }, recipe.resources);
    if (isOwnFace(face) && resources.has(id)) type.add(face, resources.value(typeface, id));
  }
}
