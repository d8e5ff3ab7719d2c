<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import { queryClient, timersQuery, useCatalogue } from './api/queries'
import BesideTray from './beside/BesideTray.vue'
import DeleteDialog from './bin/DeleteDialog.vue'
import DeletedNotice from './bin/DeletedNotice.vue'
import GrainDefs from './drawing/GrainDefs.vue'
import TimerStrip from './companions/TimerStrip.vue'
import { onSent } from './device/device'
import { sendWhatIsLeft } from './outbox/outboxes'
import NoFieldbookPage from './people/NoFieldbookPage.vue'
import SignInAgain from './people/SignInAgain.vue'
import SignInPage from './people/SignInPage.vue'
import { sessionQuery } from './people/useSession'
import PageState from './shared/PageState.vue'

const route = useRoute()
const catalogue = useCatalogue()
const session = useQuery(sessionQuery)
const inside = computed(() => !!session.data.value?.fieldbook)
// The strip of timers stands above every page: it comes with the page, not after it, or it would push it down.
const timers = useQuery(computed(() => ({ ...timersQuery, enabled: inside.value })))
const known = computed(() => timers.data.value !== undefined || timers.failureCount.value > 0)
// What was left on this device is sent as who it belongs to, so not before that is known.
watch(inside, (now, before) => now && !before && sendWhatIsLeft(), { immediate: true })
// What a role may not do is left out of the pages by their styles.
watch(session.data, (found) => {
  document.documentElement.toggleAttribute('data-writes', found?.fieldbook?.writes ?? false)
  document.documentElement.toggleAttribute('data-leads', found?.fieldbook?.leads ?? false)
})
// What the server has taken is shown as it says.
onSent(() => void queryClient.invalidateQueries())
const trouble = computed(() => catalogue.error.value ?? session.error.value)
function again(): void {
  void catalogue.refetch()
  void session.refetch()
}
</script>

<template>
  <GrainDefs v-if="catalogue.data.value" :names="catalogue.data.value.names" />
  <PageState v-if="!catalogue.data.value || !session.data.value" :error="trouble" @retry="again" />
  <RouterView v-else-if="route.meta.open" />
  <template v-else-if="inside && known">
    <TimerStrip />
    <RouterView />
    <BesideTray />
    <DeleteDialog />
    <DeletedNotice />
    <SignInAgain />
  </template>
  <PageState v-else-if="inside" />
  <NoFieldbookPage v-else-if="session.data.value.account" :session="session.data.value" />
  <SignInPage v-else :session="session.data.value" />
</template>
