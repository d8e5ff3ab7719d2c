<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { onBeforeRouteLeave, onBeforeRouteUpdate, useRouter, type RouteLocationNormalized } from 'vue-router'
import { mainKey } from '@/api'
import SheetDialog from '@/shared/SheetDialog.vue'
import { useBench } from '@/bench/useReading'

// A reading that the key has come to the end of, left without a class, asks once.
const bench = useBench()
const router = useRouter()
const to = shallowRef<RouteLocationNormalized>()
const asked = ref(false)
const first = computed(() => bench.reading.value!.proposals[0])
// A simulated sample is called in its session, and is never given the key's class.
const open = computed(() => {
  const { assigned, turn } = bench.reading.value!
  return assigned === null && !turn?.simulated && mainKey(bench.reading.value!).outcomes.length > 0
})

// The page about the same reading is no leaving.
const stays = (route: RouteLocationNormalized) => route.path.startsWith(`/readings/${bench.reading.value!.id}`)
const guard = (route: RouteLocationNormalized): boolean => {
  if (asked.value || !first.value || !open.value || stays(route)) return true
  asked.value = true
  to.value = route
  return false
}
onBeforeRouteLeave(guard)
onBeforeRouteUpdate(guard)

function leave(): void {
  const route = to.value!
  to.value = undefined
  void router.push(route)
}
function assign(): void {
  bench.assign(first.value!)
  leave()
}
</script>

<template>
  <SheetDialog v-if="to" open title="No class is assigned yet" @close="to = undefined">
    <p>
      The key has come to its end. Assign its class, or leave the reading open; it stays in the fieldbook either way.
    </p>
    <div class="grid gap-2 mt-4">
      <button type="button" class="button button-main" @click="assign">Assign {{ first!.full_name }}</button>
      <button type="button" class="button" @click="leave">Leave it open</button>
    </div>
  </SheetDialog>
</template>
