import type { Barrier } from '@kobrin/core'

/** Residents of one kind standing side by side on a shelf. */
export interface Stand {
  sheet: string
  stage: string
  boxes: number
  widthMm: number
  /** Animals in each, for colonies. */
  count?: readonly [number, number]
  /** More boxes of the same width beside them, empty and ready. */
  ready?: number
}

export interface BayPlan {
  name: string
  barrier?: Barrier
  heightMm: number
  depthMm: number
  /** Shelves from the top. */
  shelves: readonly (readonly Stand[])[]
}

export interface RoomPlan {
  name: string
  barrier: Barrier
  /** Its air through the year, coolest and warmest, °C. */
  celsius?: [number, number]
  bays: readonly BayPlan[]
}

function stand(
  sheet: string,
  stage: string,
  boxes: number,
  widthMm: number,
  count?: readonly [number, number],
): Stand {
  return { sheet, stage, boxes, widthMm, ...(count && { count }) }
}

function andReady(one: Stand, ready: number): Stand {
  return { ...one, ready }
}

/** The Ropewalk: an invented public small-life house in a former rope works on an estuary. */
export const BUILDING: readonly RoomPlan[] = [
  {
    name: 'Spinning Hall',
    celsius: [19, 26],
    barrier: 1,
    bays: [
      {
        name: 'South windows',
        heightMm: 700,
        depthMm: 700,
        shelves: [
          [stand('blue-tongued-skink', 'adult', 3, 1300), stand('kingsnake', 'adult', 2, 1000)],
          [stand('hermanns-tortoise', 'adult', 4, 1600)],
        ],
      },
      {
        name: 'North wall',
        heightMm: 900,
        depthMm: 600,
        shelves: [
          [
            stand('leafcutter-ant', 'colony', 1, 2400, [40_000, 60_000]),
            stand('jungle-nymph', 'group', 2, 900, [8, 20]),
          ],
          [
            stand('whip-spider', 'group', 2, 900, [6, 12]),
            stand('asian-forest-scorpion', 'adult', 2, 1000, [4, 8]),
          ],
        ],
      },
    ],
  },
  {
    name: 'Yarn Loft',
    celsius: [22, 28],
    barrier: 1,
    bays: [
      {
        name: 'Flight cage',
        heightMm: 2400,
        depthMm: 3000,
        shelves: [[stand('owl-butterfly', 'flying', 1, 4000, [60, 110])]],
      },
      {
        name: 'Caterpillar bench',
        heightMm: 500,
        depthMm: 400,
        shelves: [
          [
            stand('owl-butterfly', 'caterpillars', 4, 500, [15, 40]),
            stand('owl-butterfly', 'pupae', 2, 400, [10, 30]),
          ],
          [stand('leaf-insect', 'group', 3, 600, [6, 18]), stand('sun-beetle', 'colony', 2, 600, [30, 80])],
        ],
      },
    ],
  },
  {
    name: 'Tar Room',
    celsius: [22, 26],
    barrier: 1,
    bays: [
      {
        name: 'Bay 1, door side',
        heightMm: 600,
        depthMm: 600,
        shelves: [
          [stand('royal-python', 'adult', 3, 1200)],
          [stand('royal-python', 'adult', 3, 1200)],
          [stand('western-hognose', 'adult', 4, 800)],
          [stand('royal-python', 'hatchling', 6, 450)],
        ],
      },
      {
        name: 'Bay 2, north wall',
        heightMm: 600,
        depthMm: 500,
        shelves: [
          [stand('crested-gecko', 'adult', 5, 450)],
          [stand('crested-gecko', 'juvenile', 6, 300)],
          [stand('leopard-gecko', 'adult', 5, 600)],
          [andReady(stand('leopard-gecko', 'adult', 5, 600), 1)],
        ],
      },
      {
        name: 'Sick bay',
        barrier: 2,
        heightMm: 400,
        depthMm: 400,
        shelves: [[stand('leopard-gecko', 'adult', 1, 500), stand('western-hognose', 'adult', 1, 600)]],
      },
    ],
  },
  {
    name: 'Hemp Cellar',
    celsius: [12, 20],
    barrier: 1,
    bays: [
      {
        name: 'Wet wall',
        heightMm: 600,
        depthMm: 450,
        shelves: [[stand('green-tree-frog', 'adult', 5, 600)], [stand('green-tree-frog', 'adult', 5, 600)]],
      },
      {
        name: 'Cold bench',
        heightMm: 400,
        depthMm: 500,
        shelves: [[andReady(stand('fire-salamander', 'adult', 6, 600), 1)]],
      },
    ],
  },
  {
    name: 'Knot Room',
    celsius: [21, 27],
    barrier: 1,
    bays: [
      {
        name: 'Nursery shelf',
        barrier: 0,
        heightMm: 250,
        depthMm: 300,
        shelves: [
          [stand('harvester-ant', 'founding', 6, 160, [1, 12])],
          [stand('orchid-mantis', 'nymph', 8, 140)],
        ],
      },
      {
        name: 'Rack A',
        heightMm: 300,
        depthMm: 300,
        shelves: [
          [stand('chile-rose', 'adult', 8, 300)],
          [stand('chile-rose', 'adult', 4, 300), stand('mexican-redknee', 'adult', 4, 300)],
          [stand('mexican-redknee', 'adult', 8, 300)],
          [andReady(stand('curly-hair', 'adult', 8, 300), 2)],
        ],
      },
      {
        name: 'Rack B',
        heightMm: 200,
        depthMm: 200,
        shelves: [
          [stand('mexican-redknee', 'juvenile', 10, 140)],
          [stand('mexican-redknee', 'juvenile', 10, 140)],
          [stand('curly-hair', 'adult', 6, 230)],
        ],
      },
      {
        name: 'Floor tanks',
        heightMm: 450,
        depthMm: 600,
        shelves: [
          [
            stand('giant-millipede', 'adult', 3, 900, [6, 16]),
            stand('hissing-cockroach', 'colony', 2, 700, [40, 120]),
          ],
          [
            stand('land-snail', 'adult', 3, 700, [4, 12]),
            stand('harvester-ant', 'colony', 4, 500, [300, 4000]),
          ],
        ],
      },
      {
        name: 'Culture rack',
        heightMm: 180,
        depthMm: 300,
        shelves: [
          [stand('powder-isopod', 'culture', 8, 220, [200, 900])],
          [andReady(stand('zebra-isopod', 'culture', 8, 220, [60, 400]), 1)],
          [stand('springtails', 'culture', 9, 180, [1000, 5000])],
        ],
      },
    ],
  },
  {
    name: 'Larder',
    celsius: [22, 28],
    barrier: 1,
    bays: [
      {
        name: 'Feeder tubs',
        heightMm: 450,
        depthMm: 500,
        shelves: [
          [stand('feeder-crickets', 'tub', 4, 600, [800, 2500])],
          [stand('feeder-roaches', 'tub', 4, 600, [500, 2500])],
          [
            stand('mealworms', 'tray', 4, 450, [2000, 6000]),
            stand('springtails', 'culture', 3, 180, [1000, 5000]),
          ],
        ],
      },
    ],
  },
  {
    name: 'Gatehouse',
    celsius: [20, 26],
    barrier: 2,
    bays: [
      {
        name: 'Quarantine rack',
        heightMm: 400,
        depthMm: 400,
        shelves: [
          [stand('royal-python', 'adult', 1, 900), stand('leopard-gecko', 'adult', 2, 500)],
          [stand('curly-hair', 'adult', 3, 250), andReady(stand('crested-gecko', 'adult', 2, 400), 2)],
        ],
      },
      {
        name: 'Mite tent',
        barrier: 3,
        heightMm: 250,
        depthMm: 300,
        shelves: [
          [
            stand('powder-isopod', 'culture', 2, 220, [100, 300]),
            stand('giant-millipede', 'adult', 1, 600, [3, 6]),
          ],
        ],
      },
    ],
  },
]
