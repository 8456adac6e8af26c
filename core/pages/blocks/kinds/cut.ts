/** Parts a block that is made of rows, of any sort: its title stands over the first of them. */
export const cutRows = {
  rows: ({ rows }: { rows: readonly unknown[] }): number => rows.length,
  at<Row, Own extends { rows: Row[]; title?: string; remark?: string }>(
    block: Own,
    rows: number,
  ): [Own, Own] {
    return [
      { ...block, rows: block.rows.slice(0, rows) },
      {
        ...block,
        rows: block.rows.slice(rows),
        ...(block.title === undefined ? {} : { title: '' }),
        ...(block.remark === undefined ? {} : { remark: '' }),
      },
    ];
  },
};

/**
 * Parts a block of empty lines, and by the same shares what lines it may grow to.
 * @param below what its second part says otherwise
 */
export function cutLines<Own extends { lines: number; most?: number | undefined; after?: number }>(
  block: Own,
  lines: number,
  below: Partial<Own>,
): [Own, Own] {
  const { most } = block;
  const own = most === undefined ? undefined : Math.ceil((most * lines) / block.lines);
  return [
    { ...block, lines, ...(own === undefined ? {} : { most: own }) },
    {
      ...block,
      ...below,
      lines: block.lines - lines,
      after: lines,
      ...(own === undefined ? {} : { most: most! - own }),
    },
  ];
}
