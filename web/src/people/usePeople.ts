import type { Me, Person } from '@kobrin/contract'
import { may, ROUTES } from '@kobrin/contract'
import type { Draft, Role } from '@kobrin/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { kept } from '../kept/keptStore.ts'
import { call, Unreachable } from '../api/call.ts'
import { words } from '../words/en.ts'
import { pinOf, tryPin } from './pins.ts'
import { loadRights, mayBeSaid } from './rights.ts'

/** Who is at this screen. */
export const usePeople = defineStore('people', () => {
  const me = shallowRef<Me | null>(null)
  /** Who can take over this tablet by PIN; nobody unless it is enrolled. */
  const team = shallowRef<readonly Person[]>([])
  const asked = shallowRef(false)
  /** Counts up with every sign-in, also of the same person again. */
  const signIns = shallowRef(0)
  const person = computed<Person | null>(() => me.value?.person ?? null)
  const role = computed<Role>(() => me.value?.person.role ?? 'reader')

  void loadRights()

  /** Whether the person here may write into the record at all. */
  const mayWrite = computed(() => may(role.value, 'writeEntries'))
  const maySay = ({ kind }: Pick<Draft, 'kind'>) => mayBeSaid(role.value, kind)

  /** What the server has not been told yet: that somebody handed this tablet over, and to whom. */
  let unsentSwitch: { to: string; pin: string } | null = null

  /** Counts up whenever it is newly known who is here: an answer that was overtaken says nothing. */
  let known = 0

  /** Who is here, as the server knows it. */
  async function ask(): Promise<void> {
    const asked = (known += 1)
    // Handed over while there was no link: the person here before is not to come back by that.
    if (await kept.thing('handedOver')) await tellHandedOver()
    const presence = await call(ROUTES.presence)
    if (asked !== known) return
    const isOther = me.value !== null && presence.me !== null && me.value.person.id !== presence.me.person.id
    me.value = presence.me
    team.value = presence.people
    remember()
    if (isOther) signIns.value += 1
  }

  /** The person last at this screen is the one here, with or without a link: nobody waits for the server to say so. What it
   * says otherwise holds as soon as it is heard. */
  async function recall(): Promise<void> {
    if (await recallKept()) void ask().catch(() => undefined)
    else
      try {
        await ask()
      } catch (error) {
        if (!(error instanceof Unreachable) || team.value.length === 0) throw error
      }
    asked.value = true
  }

  function remember(): void {
    void kept.keepThing('me', me.value)
    void kept.keepThing('team', team.value)
  }

  /** Takes up who was here, and who may take over, as it lies on this device. False where nobody was. */
  async function recallKept(): Promise<boolean> {
    const [before, others, handedOver] = await Promise.all([
      kept.thing('me'),
      kept.thing('team'),
      kept.thing('handedOver'),
    ])
    team.value = others ?? []
    me.value = handedOver ? null : (before ?? null)
    return me.value !== null
  }

  async function tellHandedOver(): Promise<void> {
    await call(ROUTES.signOut)
    await kept.keepThing('handedOver', false)
  }

  /** Somebody came in: with a link, or handed over to without one. */
  async function taken(by: Me, handedOver = false): Promise<void> {
    known += 1
    me.value = by
    signIns.value += 1
    await kept.keepThing('me', by)
    await kept.keepThing('handedOver', handedOver)
  }

  async function signIn(login: string, passphrase: string): Promise<void> {
    await taken(await call(ROUTES.signIn, { body: { login, passphrase } }))
  }

  async function switchTo(personId: string, pin: string): Promise<void> {
    try {
      const by = await call(ROUTES.switchPerson, { body: { personId, pin } })
      await taken(by)
      // Its hash takes a while, and a page without TLS cannot make one: nobody is kept waiting for that.
      void pinOf(by, pin, Date.now()).then(kept.keepPin, () => undefined)
    } catch (error) {
      if (!(error instanceof Unreachable)) throw error
      await switchWithoutLink(personId, pin)
    }
  }

  async function switchWithoutLink(personId: string, pin: string): Promise<void> {
    const answer = await tryPin(await kept.pin(personId), { pin, now: Date.now(), keep: kept.keepPin })
    if (answer.is !== 'right') throw new Error(words.pinWithoutLink[answer.is])
    unsentSwitch = { to: personId, pin }
    await taken(answer.me, true)
  }

  /** The link is back: the server is told who took over meanwhile. */
  async function tellTaken(): Promise<void> {
    if (!unsentSwitch) return
    const { to, pin } = unsentSwitch
    unsentSwitch = null
    await switchTo(to, pin)
  }

  /** Something about the person here is otherwise now. */
  function put(by: Me): void {
    me.value = by
    remember()
  }

  const enrol = async (name: string) => put(await call(ROUTES.enrolDevice, { body: { name } }))

  async function signOut(): Promise<void> {
    try {
      await call(ROUTES.signOut)
      await ask()
    } catch (error) {
      if (!(error instanceof Unreachable)) throw error
      unsentSwitch = null
      known += 1
      me.value = null
      await kept.keepThing('handedOver', true)
      await kept.keepThing('me', null)
    }
  }

  return {
    me,
    team,
    signIns,
    person,
    role,
    mayWrite,
    maySay,
    asked,
    recall,
    tellTaken,
    taken,
    signIn,
    switchTo,
    enrol,
    put,
    signOut,
  }
})
