import { cleaned } from '../cleaning/cleaned.ts'
import { accounted } from '../count/accounted.ts'
import { counted } from '../count/counted.ts'
import { gained } from '../count/gained.ts'
import { parted } from '../count/parted.ts'
import { bowl } from '../feeding/bowl.ts'
import { fed } from '../feeding/fed.ts'
import { measured } from '../growth/measured.ts'
import { weighed } from '../growth/weighed.ts'
import { answered } from '../handover/answered.ts'
import { noted } from '../handover/noted.ts'
import { condition } from '../health/condition.ts'
import { observed } from '../health/observed.ts'
import { held } from '../holds/held.ts'
import { released } from '../holds/released.ts'
import { checked } from '../looking/checked.ts'
import { companionDied } from '../looking/companionDied.ts'
import { droppings } from '../looking/droppings.ts'
import { looked } from '../looking/looked.ts'
import { ecdysis } from '../skin/ecdysis.ts'
import { skinCleared } from '../skin/skinCleared.ts'
import { dampened } from '../watering/dampened.ts'
import { watered } from '../watering/watered.ts'
import { arrived } from './arrived.ts'
import { described } from './described.ts'
import { died } from './died.ts'
import { examined } from './examined.ts'
import { expected } from './expected.ts'
import { left } from './left.ts'
import { lost } from './lost.ts'
import { merged } from './merged.ts'
import { moved } from './moved.ts'
import { permitted } from './permitted.ts'
import { photographed } from './photographed.ts'
import { registered } from './registered.ts'
import { schooled } from './schooled.ts'
import { staged } from './staged.ts'

/** Every kind of fact about a resident. */
export const RESIDENT_KINDS = {
  registered,
  expected,
  arrived,
  moved,
  died,
  examined,
  left,
  lost,
  merged,
  described,
  photographed,
  permitted,
  staged,
  schooled,
  counted,
  accounted,
  gained,
  parted,
  fed,
  bowl,
  watered,
  dampened,
  cleaned,
  weighed,
  measured,
  ecdysis,
  skinCleared,
  looked,
  droppings,
  checked,
  companionDied,
  condition,
  observed,
  noted,
  answered,
  held,
  released,
}
