import { ref, shallowRef } from 'vue'
import { useTray } from '@/beside/useTray'
import { forgetLists, queryClient, request, type Schemas } from '@/api'

type Deletion = Schemas['Deletion']
export type Deletable =
  | 'site'
  | 'profile'
  | 'horizon'
  | 'sample'
  | 'reading'
  | 'photo'
  | 'companion_test'
  | 'assessor_table'
  | 'report'
  | 'import'
type Asked = { of: Deletable; id: number; then?: () => void }

/** What somebody wants to delete, while it is asked about. */
const asked = shallowRef<Asked | null>(null)
/** What was deleted last, as long as it can be undone at once. */
const last = ref<Deletion | null>(null)
const trouble = ref('')

function renew(): void {
  forgetLists()
  for (const list of ['deletions', 'imports', 'reading', 'companions', 'timers', 'reports', 'tables'])
    void queryClient.invalidateQueries({ queryKey: [list] })
}

/** Deleting, and undoing it: one of each for the whole page, drawn by App.vue. */
export function useBin() {
  const { drop } = useTray()
  /** Asks before it deletes, and tells what goes along. */
  const ask = (of: Deletable, id: number, then?: () => void): void => {
    trouble.value = ''
    asked.value = { of, id, then }
  }
  async function remove({ of, id, then }: Asked): Promise<void> {
    trouble.value = ''
    try {
      last.value = await request<Deletion>('POST', '/api/deletions', { of, of_id: id })
      asked.value = null
      if (of === 'reading') drop(id)
      then?.()
      renew()
    } catch (error) {
      trouble.value = (error as Error).message
    }
  }
  async function undo(): Promise<void> {
    const deletion = last.value
    if (!deletion) return
    trouble.value = ''
    try {
      await request('POST', `/api/deletions/${deletion.id}/restore`, {})
      last.value = null
      renew()
    } catch (error) {
      trouble.value = (error as Error).message
    }
  }
  return { asked, last, trouble, ask, remove, undo, renew }
}
