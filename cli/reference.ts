import { compositions } from '#core/cover/index.ts';
import { FAMILIES, type Family, MOODS, otherScripts } from '#core/faces/index.ts';
import { jsonSchemaOf } from '#core/json-schema.ts';
import { type PageKind, pageKinds } from '#core/pages/index.ts';
import { printServices } from '#core/print/index.ts';
import { resourceTypes } from '#core/resources/index.ts';
import { type Field, fieldsOf } from '#core/settings.ts';
import { showSize } from '#core/units.ts';

/** What a field takes, in words. */
function taken(field: Field): string {
  if (field.control === 'choice') return field.choices.map(({ value }) => `\`${value}\``).join(', ');
  if (field.control === 'number') return `${field.min}–${field.max}${field.unit ? ` ${field.unit}` : ''}`;
  if (field.control === 'switch') return '`true`, `false`';
  return field.control === 'text' ? 'text' : 'see recipe.md';
}

const cell = (value: unknown): string => String(value).replaceAll('|', '\\|');

function table(schema: PageKind['options']): string[] {
  const fields = fieldsOf(schema);
  if (fields.length === 0) return ['No options.', ''];
  const defaults = schema['~standard'].validate({}) as { value: Record<string, unknown> };
  return [
    '| option | takes | default | |',
    '| --- | --- | --- | --- |',
    ...fields.map(
      (field) =>
        `| \`${field.key}\` | ${cell(taken(field))} | \`${cell(JSON.stringify(defaults.value[field.key]))}\` | ${cell([field.label, field.help].filter(Boolean).join('. '))} |`,
    ),
    '',
  ];
}

/** The keys of what a recipe says of a resource. */
function factsOf(schema: unknown): string {
  const { properties = {} } = jsonSchemaOf(schema as never);
  return Object.keys(properties)
    .map((key) => `\`${key}\``)
    .join(', ');
}

const EXTENTS = {
  single: 'One page.',
  pages: 'As many `pages` as the section says.',
  items: 'As many `items` as the section says.',
  derived: 'As many pages as follow from its options.',
} as const;

/** Everything that a recipe may name, as Markdown: docs/reference.md. */
export function reference(): string {
  return [
    '# What a recipe may name',
    '',
    'Written from the schemas by `npm run docs`. The format around it is described in [recipe.md](recipe.md).',
    '',
    '## Kinds of page',
    '',
    ...pageKinds().flatMap(({ id, version, name, purpose, extent, options }) => [
      `### \`${id}\`: ${name}`,
      '',
      `${purpose} ${EXTENTS[extent]} Version ${version}.`,
      '',
      ...table(options),
    ]),
    '## Compositions of covers',
    '',
    ...compositions.flatMap(({ id, version, name, options, fields }) => [
      `### \`${id}\`: ${name}`,
      '',
      `Version ${version}. Under \`options\`:`,
      '',
      ...table(options as never),
      'Under `fields`:',
      '',
      ...table(fields as never),
    ]),
    '## Typefaces',
    '',
    'For `style.typefaces`; the name of a face is that of its family and a style: `lora-bold`.',
    '',
    '| family | | styles | scripts beside Latin | license |',
    '| --- | --- | --- | --- | --- |',
    ...FAMILIES.map((family: Family) => {
      const styles = family.styles.map((style) => `\`${style}\``).join(', ');
      return `| \`${family.id}\` | ${MOODS[family.mood].toLowerCase()} | ${styles} | ${otherScripts(family).join(', ')} | ${family.license} |`;
    }),
    '',
    '## Types of resource',
    '',
    '| type | | largest | facts |',
    '| --- | --- | --- | --- |',
    ...resourceTypes.map(
      ({ id, name, mostBytes, facts }) =>
        `| \`${id}\` | ${name} | ${Math.round(mostBytes / 1048576)} MB | ${factsOf(facts)} |`,
    ),
    '',
    '## Printing services',
    '',
    ...printServices().flatMap(({ id, name, markets, bindings }) => [
      `### \`${id}\`: ${name}`,
      '',
      `Prices for ${markets.map((market) => `\`${market.id}\``).join(', ')}.`,
      '',
      ...bindings.flatMap((binding) => [
        `- \`${binding.id}\`: trims ${binding.trims.map(({ points }) => showSize(points.width, points.height, 'in')).join(', ')};`,
        `  ink ${binding.inks.map((ink) => `\`${ink.id}\``).join(', ')};`,
        `  paper ${binding.papers.map(({ id: paper, inks, pages }) => `\`${paper}\` (${inks.join(', ')}; ${pages.min}–${pages.max} pages)`).join(', ')};`,
        `  finish ${binding.finishes.map((finish) => `\`${finish}\``).join(', ')}`,
        '',
      ]),
    ]),
  ]
    .join('\n')
    .trimEnd();
}
