import type { Yoga } from 'yoga-layout/load';

let engine: Yoga | null = null;
let loading: Promise<void> | null = null;

/** Loads the flexbox engine (Yoga). Pages that are laid out by it are drawn synchronously: who draws them loads it first. */
export function loadFlexbox(): Promise<void> {
  loading ??= import('yoga-layout/load')
    .then(async ({ loadYoga }) => {
      engine = await loadYoga();
    })
    .catch((error: unknown) => {
      loading = null;
      throw error;
    });
  return loading;
}

/** A box that shares out width among boxes beside each other, or stacks boxes; a leaf has a height for every width. */
export interface FlexBox {
  /** Share of the width among those beside it. */
  grow?: number;
  /** Boxes in it: beside each other, or one below the other. */
  row?: readonly FlexBox[];
  column?: readonly FlexBox[];
  /** Between the boxes in it, in points. */
  gap?: number;
  /** Around what is in it, in points. */
  padding?: { top: number; right: number; bottom: number; left: number };
  /** Height of a leaf, in points. */
  height?(width: number): number;
}

/** Where a box came to stand, within the outermost; in points. */
export interface FlexedBox {
  x: number;
  width: number;
  /** The least that it needs. */
  height: number;
  children: FlexedBox[];
}

/**
 * Widths and least heights of boxes in a width, by the rules of CSS flexible box layout.
 * @throws Error when the engine was not loaded
 */
export function flexBoxes(box: FlexBox, width: number): FlexedBox {
  if (!engine) throw new Error('The flexbox engine was not loaded before a page was drawn.');
  const { Node, Config, FLEX_DIRECTION_ROW, FLEX_DIRECTION_COLUMN, GUTTER_ALL, DIRECTION_LTR } = engine;
  const { EDGE_TOP, EDGE_RIGHT, EDGE_BOTTOM, EDGE_LEFT } = engine;
  const config = Config.create();
  // Not rounded to pixels.
  config.setPointScaleFactor(0);
  type Node = ReturnType<typeof Node.create>;
  const build = (given: FlexBox, beside: boolean): Node => {
    const node = Node.create(config);
    if (beside) {
      node.setFlexGrow(given.grow ?? 1);
      node.setFlexShrink(1);
      node.setFlexBasis(0);
    }
    if (given.padding) {
      node.setPadding(EDGE_TOP, given.padding.top);
      node.setPadding(EDGE_RIGHT, given.padding.right);
      node.setPadding(EDGE_BOTTOM, given.padding.bottom);
      node.setPadding(EDGE_LEFT, given.padding.left);
    }
    const inside = given.row ?? given.column;
    if (inside) {
      node.setFlexDirection(given.row ? FLEX_DIRECTION_ROW : FLEX_DIRECTION_COLUMN);
      node.setGap(GUTTER_ALL, given.gap ?? 0);
      for (const [i, one] of inside.entries()) node.insertChild(build(one, given.row !== undefined), i);
    } else if (given.height) {
      const { height } = given;
      node.setMeasureFunc((offered) => ({ width: offered, height: height(offered) }));
    }
    return node;
  };
  const read = (node: Node, left: number): FlexedBox => ({
    x: left + node.getComputedLeft(),
    width: node.getComputedWidth(),
    height: node.getComputedHeight(),
    children: Array.from({ length: node.getChildCount() }, (_, i) =>
      read(node.getChild(i), left + node.getComputedLeft()),
    ),
  });
  const root = build(box, false);
  try {
    root.setWidth(width);
    root.calculateLayout(width, undefined, DIRECTION_LTR);
    return read(root, 0);
  } finally {
    root.freeRecursive();
    config.free();
  }
}
