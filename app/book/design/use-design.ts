import { useState } from 'react';
import { changeSection } from '#core/book/edit.ts';
import type { Section } from '#core/book/sections.ts';
import type { Block } from '#core/pages/blocks/block.ts';
import type { LookId } from '#core/pages/blocks/look.ts';
import type { Design } from '#core/pages/composed/design.ts';
import {
  type BlockPath,
  blockAt,
  changeBlock,
  frameBlock,
  freshBlock,
  insertBlock,
  moveBlock,
  nestBlock,
  pathOf,
  removeBlock,
  repeatBlock,
  type Side,
  stepBlock,
} from '#core/pages/composed/edit-design.ts';
import { type ComposedOptions, ownDesign } from '#core/pages/composed/index.ts';
import { useBook } from '../store.ts';

/**
 * The design of a section, which block is selected, and what can be done to it. What ships is changed as a copy. Every change is
 * one of the book: saved by itself, and undone with everything else.
 */
export function useDesign(section: Section) {
  const edit = useBook((state) => state.edit);
  const { facing } = section.options as ComposedOptions;
  const { design, look } = ownDesign(section.options as ComposedOptions);
  const [chosen, choose] = useState<BlockPath>([0]);
  // Undo may have taken it away.
  const selected = blockAt(design.blocks, chosen) ? chosen : null;
  const block = selected && blockAt(design.blocks, selected)!;

  const change = (to: (now: Design) => Design, mergeAs?: string): string | null =>
    edit(
      (recipe) =>
        changeSection(recipe, section.id, (now) => {
          const own = ownDesign(now.options as ComposedOptions);
          return { ...now, options: { ...now.options, design: to(own.design), look: own.look } };
        }),
      mergeAs && `${section.id} ${mergeAs}`,
    );
  /** Changes where blocks stand, and keeps the same one selected. */
  const rearrange = (to: (now: Design) => Design, kept: Block | null = block) => {
    let next: BlockPath | null = null;
    const refused = change((now) => {
      const changed = to(now);
      next = kept && pathOf(changed, kept);
      return changed;
    });
    if (!refused && next) choose(next);
  };
  const onSelected = (to: (now: Design, path: BlockPath) => Design) => () => {
    if (selected) rearrange((now) => to(now, selected));
  };

  return {
    design,
    look,
    /** It stands on two pages that face each other. */
    facing,
    selected,
    block,
    choose,
    setFacing: (on: boolean) =>
      edit((recipe) =>
        changeSection(recipe, section.id, (now) => ({ ...now, options: { ...now.options, facing: on } })),
      ),
    rename: (name: string) => change((now) => ({ ...now, name }), 'name'),
    setEntry: (path: BlockPath, key: string, value: unknown) =>
      change(
        (now) =>
          changeBlock(
            now,
            path,
            ({ [key]: _was, ...rest }) => (value === undefined ? rest : { ...rest, [key]: value }) as Block,
          ),
        `${path.join('.')} ${key}`,
      ),
    add(type: string, to: BlockPath | null = selected, side: Side = 'below') {
      const fresh = freshBlock(type);
      rearrange((now) => insertBlock(now, to, side, fresh), fresh);
    },
    move(from: BlockPath, to: BlockPath, side: Side) {
      rearrange((now) => moveBlock(now, from, to, side), blockAt(design.blocks, from) ?? null);
    },
    remove: onSelected(removeBlock),
    repeat: onSelected(repeatBlock),
    frame: onSelected(frameBlock),
    nest: onSelected(nestBlock),
    up: onSelected((now, path) => stepBlock(now, path, -1)),
    down: onSelected((now, path) => stepBlock(now, path, 1)),
    /** Takes another design in place of this one, with its look. */
    replace: (other: Design, otherLook: LookId) =>
      edit((recipe) =>
        changeSection(recipe, section.id, (now) => ({
          ...now,
          options: { ...now.options, design: other, look: otherLook },
        })),
      ),
  };
}

export type DesignWork = ReturnType<typeof useDesign>;
