import { compositions } from '#core/cover/index.ts';
import { jsonSchemaOf } from '#core/json-schema.ts';
import { pageKinds } from '#core/pages/index.ts';
import { printServices } from '#core/print/index.ts';
import { showSize } from '#core/units.ts';

/** What a recipe may name: kinds of page with the JSON Schema of their options, compositions, services with their bindings. */
function known() {
  return {
    kinds: pageKinds().map(({ id, version, name, purpose, extent, options }) => ({
      id,
      version,
      name,
      purpose,
      extent,
      options: jsonSchemaOf(options),
    })),
    compositions: compositions.map(({ id, version, name, options, fields }) => ({
      id,
      version,
      name,
      options: jsonSchemaOf(options),
      fields: jsonSchemaOf(fields),
    })),
    services: printServices().map(({ id, name, markets, bindings }) => ({
      id,
      name,
      markets: markets.map((market) => market.id),
      bindings: bindings.map((binding) => ({
        id: binding.id,
        trims: binding.trims.map(({ width, height }) => ({ width, height })),
        papers: binding.papers.map(({ id: paper, inks, pages }) => ({ id: paper, inks, pages })),
        finishes: binding.finishes,
        coverParts: binding.cover.parts,
      })),
    })),
  };
}

/** Prints what a recipe may name. */
export function kinds(json: boolean): number {
  const all = known();
  if (json) {
    console.log(JSON.stringify(all, null, 2));
    return 0;
  }
  console.log('Kinds of page');
  for (const { id, version, purpose } of all.kinds) console.log(`  ${id.padEnd(16)} v${version}  ${purpose}`);
  console.log('\nCompositions');
  for (const { id, name } of all.compositions) console.log(`  ${id.padEnd(16)} ${name}`);
  console.log('\nServices');
  for (const service of printServices())
    for (const { id, trims } of service.bindings)
      console.log(
        `  ${service.id.padEnd(16)} ${id}: ${trims.map(({ points }) => showSize(points.width, points.height, 'in')).join(', ')}`,
      );
  return 0;
}
