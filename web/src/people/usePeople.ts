import type { Me, Person } from '@kobrin/contract'
import { may, ROUTES } from '@kobrin/contract'
import type { Draft, Role } from '@kobrin/core'
import { mayRecord } from '@kobrin/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { call } from '../wire/call.ts'

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

  /** Whether whoever is here may write into the record at all. */
  const mayWrite = computed(() => may(role.value, 'writeEntries'))

  function maySay({ kind }: Pick<Draft, 'kind'>): boolean {
    return mayRecord(role.value, kind)
  }

  async function recall(): Promise<void> {
    const presence = await call(ROUTES.presence)
    me.value = presence.me
    team.value = presence.people
    asked.value = true
  }

  function taken(by: Me): void {
    me.value = by
    signIns.value += 1
  }

  async function signIn(login: string, passphrase: string): Promise<void> {
    taken(await call(ROUTES.signIn, { body: { login, passphrase } }))
  }

  async function switchTo(personId: string, pin: string): Promise<void> {
    taken(await call(ROUTES.switchPerson, { body: { personId, pin } }))
  }

  async function enrol(name: string): Promise<void> {
    me.value = await call(ROUTES.enrolDevice, { body: { name } })
  }

  async function signOut(): Promise<void> {
    await call(ROUTES.signOut)
    await recall()
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
    signIn,
    switchTo,
    enrol,
    signOut,
  }
})
