import type { Ref } from 'vue'
import { computed } from 'vue'
import { grouped } from './grouped.ts'

/** What can stand together in a list. */
export type GroupName = 'bay' | 'species' | 'stage'

type Row = Readonly<Record<GroupName, string>>

/** Groups are laid out row by row: so many at once. */
const PAGE = 200

/** The rows of each group one after the other, the groups in the order of their first rows. */
export function inGroups<R extends Row>(rows: R[], by: GroupName | null): R[] {
  return by === null ? rows : [...grouped(rows, (row) => row[by]).values()].flat()
}

interface Laying {
  groupBy: Ref<GroupName | null>
  printing: Ref<boolean>
  /** How rows are laid out that stand in no groups. */
  inSight: object
}

/** How a table is laid out: all of it on paper, in groups, or the rows in sight. */
export function useRowGroups(rows: Ref<readonly Row[]>, { groupBy, printing, inSight }: Laying) {
  const sizes = computed(() => {
    const by = groupBy.value
    return new Map(
      by === null ? [] : [...grouped(rows.value, (row) => row[by])].map(([name, all]) => [name, all.length]),
    )
  })
  const layout = computed(() => {
    const by = groupBy.value
    const onPaper = printing.value
    if (by === null) return onPaper ? {} : inSight
    return {
      rowGroupMode: 'subheader' as const,
      groupRowsBy: by,
      ...(onPaper ? {} : { scrollable: true, scrollHeight: 'flex' }),
      paginator: !onPaper && rows.value.length > PAGE,
      rows: onPaper ? rows.value.length : PAGE,
    }
  })
  return { layout, sizeOf: (name: string) => sizes.value.get(name) ?? 0 }
}
