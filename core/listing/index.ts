import type { Recipe } from '../book/index.ts';
import type { PrintRules } from '../print/index.ts';
import { countLetters } from '../schema.ts';

/** A field of the listing; keyword fields are counted from 1. */
export type ListingField = 'title' | 'penName' | 'description' | `keyword-${number}` | `price-${string}`;

export interface ListingProblem {
  severity: 'fix' | 'look';
  field: ListingField;
  message: string;
}

/** What a printing service would say of the listing's texts. */
export function listingProblems(recipe: Recipe, limits: PrintRules['listing']): ListingProblem[] {
  const { titleAndSubtitle, keywordFields, keywordLength, descriptionLength } = limits;
  const problems: ListingProblem[] = [];
  const both = countLetters(recipe.title) + countLetters(recipe.subtitle);
  if (both > titleAndSubtitle) {
    problems.push({
      field: 'title',
      severity: 'fix',
      message: `Title and subtitle have ${both} characters together; ${titleAndSubtitle} are allowed. Shorten them by ${both - titleAndSubtitle}.`,
    });
  }
  if (!recipe.listing.description.trim()) {
    problems.push({
      field: 'description',
      severity: 'fix',
      message: 'The description is empty. Say in a few sentences what is in the book and for whom.',
    });
  }
  const described = countLetters(recipe.listing.description);
  if (described > descriptionLength)
    problems.push({
      field: 'description',
      severity: 'fix',
      message: `The description has ${described} characters; ${descriptionLength} are allowed. Shorten it by ${described - descriptionLength}.`,
    });
  if (recipe.listing.keywords.length > keywordFields)
    problems.push({
      field: `keyword-${keywordFields + 1}`,
      severity: 'fix',
      message: `There are ${recipe.listing.keywords.length} keyword fields; ${keywordFields} are allowed. Remove the last.`,
    });
  const keywords = recipe.listing.keywords.map((keyword) => keyword.trim());
  keywords.forEach((keyword, i) => {
    const length = countLetters(keyword);
    if (length > keywordLength)
      problems.push({
        field: `keyword-${i + 1}`,
        severity: 'fix',
        message: `Keyword field ${i + 1} has ${length} characters; ${keywordLength} are allowed.`,
      });
    const first = keywords.findIndex((other) => other.toLowerCase() === keyword.toLowerCase());
    if (keyword && first < i)
      problems.push({
        field: `keyword-${i + 1}`,
        severity: 'look',
        message: `Keyword fields ${first + 1} and ${i + 1} are the same. Use the second for another phrase.`,
      });
  });
  const used = keywords.filter(Boolean).length;
  if (used === 0)
    problems.push({
      field: 'keyword-1',
      severity: 'look',
      message: `No keyword field is used; there are ${keywordFields}.`,
    });
  return problems;
}
