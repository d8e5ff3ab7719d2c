import { useQuery } from '@tanstack/vue-query'
import { useNow } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowRef, watch, type Ref } from 'vue'
import { sheetQuery, type ApiProblem, type Sheet } from '@/api'
import type { Outbox } from '@/outbox/outbox'
import { openOutbox, sheetRecord, show, standing } from '@/outbox/outboxes'

/**
 * One sheet of a companion test. What is seen waits on the device until the server has it, with the time at which it
 * was seen.
 */
export function useSheet(id: Ref<number>) {
  const query = useQuery(computed(() => sheetQuery(id.value)))
  const sheet = computed(() => query.data.value)
  const outbox = shallowRef<Outbox<Sheet>>()
  const refused = ref('')
  const behind = ref(0)
  watch(sheet, (found) => found && (behind.value = Date.parse(found.now) - Date.now()), { immediate: true })
  const ticking = useNow({ interval: 1000 })
  /** By the server's clock. */
  const now = computed(() => ticking.value.getTime() + behind.value)

  let leave = () => {}
  watch(
    id,
    async (asked) => {
      leave()
      const record = sheetRecord(asked)
      leave = show(record, {
        version: () => sheet.value?.version ?? 0,
        onRefused: (problem: ApiProblem) => (refused.value = problem.message),
      })
      outbox.value = await openOutbox(record)
    },
    { immediate: true },
  )
  onScopeDispose(() => leave())

  const send = (path: string, body: Record<string, unknown>, label: string) => {
    refused.value = ''
    outbox.value?.add({ method: 'POST', path, body, label, version: null, apart: true })
  }
  const at = () => new Date(Date.now() + behind.value).toISOString()

  return {
    query,
    sheet,
    now,
    refused,
    ...standing(outbox),
    /** The clock of one place begins, or of all that have not begun. */
    begin: (place?: number) =>
      send(
        place ? `/api/companion-places/${place}/begin` : `/api/companion-tests/${id.value}/begin`,
        { at: at() },
        'start',
      ),
    look: (place: number, value: Record<string, unknown>) =>
      send(`/api/companion-places/${place}/looks`, { value, at: at() }, 'look'),
    takeBack: (place: number, look: number) =>
      send(`/api/companion-places/${place}/looks/${look}/take-back`, {}, 'look taken back'),
    beginAnew: (place: number) => send(`/api/companion-places/${place}/begin-anew`, {}, 'begun anew'),
    add: (place: Record<string, unknown>) => send(`/api/companion-tests/${id.value}/places`, place, 'place'),
    end: (ended: boolean) => {
      refused.value = ''
      outbox.value?.add({
        method: 'PATCH',
        path: `/api/companion-tests/${id.value}`,
        body: { ended },
        label: ended ? 'end' : 'going on',
        version: null,
        apart: true,
      })
    },
  }
}
export type SheetDesk = ReturnType<typeof useSheet>
