import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import type { ApiProblem, Horizon, Profile } from '@/api'
import type { Outbox, Write } from '@/outbox/outbox'
import { horizonRecord, openOutbox, show, standing } from '@/outbox/outboxes'

const COLOURS = ['moist_colour', 'dry_colour']

/** What a field of a horizon holds as it is typed; blank for nothing. */
export const heldBy = (horizon: Horizon, name: string): string => {
  if (COLOURS.includes(name)) return horizon[name as 'moist_colour' | 'dry_colour']?.notation ?? ''
  if (name === 'boundary') return horizon.boundary ?? ''
  return String((horizon.described as Record<string, unknown>)[name] ?? '')
}

/**
 * The card of one horizon: each answer shows at once, waits on the device until the server has it, and can be undone
 * one by one.
 * @param horizon as the server has it
 */
export function useCard(id: number, profile: number, horizon: () => Horizon | undefined) {
  const record = horizonRecord(id, profile)
  const outbox = shallowRef<Outbox<Profile>>()
  const trouble = ref<{ field: string; sentence: string } | null>(null)
  const given = ref<Record<string, string>[]>([])
  // What was typed and refused stays to be mended.
  const unkept = ref<Record<string, string>>({})

  const refused = (problem: ApiProblem, write: Write) => {
    const field = Object.keys(write.answers ?? {})[0] ?? ''
    unkept.value = { ...unkept.value, ...(write.answers as Record<string, string>) }
    trouble.value = { field, sentence: problem.at(`described/${field}`) ?? problem.at(field) ?? problem.message }
  }
  onScopeDispose(show(record, { version: () => horizon()?.version ?? 0, onRefused: refused }))
  void openOutbox(record).then((box) => (outbox.value = box))

  const pending = computed(() => (outbox.value?.answers.value ?? {}) as Record<string, string>)
  const typed = (name: string): string =>
    pending.value[name] ?? unkept.value[name] ?? (horizon() ? heldBy(horizon()!, name) : '')

  function write(values: Record<string, string>): void {
    trouble.value = null
    unkept.value = Object.fromEntries(Object.entries(unkept.value).filter(([name]) => !(name in values)))
    const own = Object.entries(values).filter(([name]) => COLOURS.includes(name) || name === 'boundary')
    const described = Object.entries(values).filter(([name]) => !COLOURS.includes(name) && name !== 'boundary')
    const body = {
      ...Object.fromEntries(own),
      ...(described.length ? { described: Object.fromEntries(described) } : {}),
    }
    outbox.value?.add({
      method: 'PATCH',
      path: `/api/horizons/${id}`,
      body,
      answers: values,
      label: Object.keys(values).join(', '),
    })
  }

  return {
    typed,
    trouble,
    conflict: computed(() => outbox.value?.conflict.value ?? null),
    resolve: (choice: 'mine' | 'theirs') => outbox.value?.resolve(choice),
    ...standing(outbox),
    /** Gives answers; blank takes one back. */
    give: (values: Record<string, string>) => {
      given.value.push(Object.fromEntries(Object.keys(values).map((name) => [name, typed(name)])))
      write(values)
    },
    canUndo: computed(() => given.value.length > 0),
    undo: () => {
      const before = given.value.pop()
      if (before) write(before)
    },
  }
}
