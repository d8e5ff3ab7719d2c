<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { queryClient, request, type Method, type Schemas } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { dayAndTime } from '@/shared/dates'
import { useAttempt } from '@/shared/useAttempt'
import { membersQuery, sessionQuery, useSession } from './useSession'

// The people of a fieldbook: who may do what in it, who has a name only, and who is invited.
type Members = Schemas['Members']
type Member = Members['members'][number]
const { session, alone, mayLead, mayWrite } = useSession()
const { data, error, refetch } = useQuery(membersQuery)
const { busy, trouble, attempt } = useAttempt()
async function change(method: Method, path: string, body?: unknown): Promise<boolean> {
  return attempt(async () => {
    queryClient.setQueryData(['members'], await request<Members>(method, path, body))
    void queryClient.invalidateQueries({ queryKey: sessionQuery.queryKey })
  })
}
const setRole = (member: Member, role: string) =>
  change('PATCH', `/api/members/${member.id}`, { version: member.version, role })

const roles = computed(() => data.value?.roles.map(({ value }) => ({ value, name: value })) ?? [])
const says = (role: string) => data.value?.roles.find(({ value }) => value === role)?.says ?? ''

/** An invitation while it is made; its link is shown this once. */
const inviting = ref<{ role: string; note: string; person: number | null } | null>(null)
const link = ref<{ address: string; ends_at: string } | null>(null)
async function invite(): Promise<void> {
  const { role, note, person } = inviting.value!
  await attempt(async () => {
    const made = await request<Schemas['Invitation'] & { path: string }>('POST', '/api/invitations', {
      role,
      note,
      person_id: person,
    })
    link.value = { address: location.origin + made.path, ends_at: made.ends_at }
    inviting.value = null
    await refetch()
  })
}
const copied = ref(false)
/** An address that no other machine reaches. */
const onlyHere = /^(127\.|localhost|\[::1\])/.test(location.host)
async function copy(): Promise<void> {
  await navigator.clipboard.writeText(link.value!.address).catch(() => {})
  copied.value = true
}
/** A name while it is written: of a new person, of one who is renamed, or of the fieldbook. */
const naming = ref<{ of: 'new' | 'fieldbook' | 'another' | number; name: string } | null>(null)
const TITLES = { new: 'Add a person', fieldbook: 'Rename the fieldbook', another: 'Begin a fieldbook' }
/** Each fieldbook stands below an address of its own. */
async function begin(name: string): Promise<void> {
  await attempt(async () => {
    const made = await request<{ id: number }>('POST', '/api/fieldbooks', { name })
    location.assign(`/fieldbooks/${made.id}`)
  })
}
async function keepName(): Promise<void> {
  const { of, name } = naming.value!
  if (of === 'another') return begin(name)
  const path = of === 'new' ? '/api/people' : of === 'fieldbook' ? '/api/fieldbook' : `/api/people/${of}`
  if (await change(of === 'new' ? 'POST' : 'PATCH', path, { name })) naming.value = null
}
const removing = ref<Member | null>(null)
async function remove(): Promise<void> {
  const { id, you } = removing.value!
  removing.value = null
  if (await change('DELETE', `/api/members/${id}`)) if (you) location.assign('/')
}
/** Whoever takes over a name, while it is asked which. */
const taking = ref<Member | null>(null)
async function takeOver(person: number): Promise<void> {
  if (await change('PUT', `/api/members/${taking.value!.id}/person`, { person_id: person })) taking.value = null
}
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead title="Members" :line="data.fieldbook">
      <button v-if="mayLead" type="button" class="button" @click="naming = { of: 'fieldbook', name: data.fieldbook }">
        Rename
      </button>
      <RouterLink v-if="mayLead" class="button" to="/network">Phones</RouterLink>
      <RouterLink v-if="alone" class="button button-main" to="/first-account">Make your account</RouterLink>
      <button
        v-else-if="mayLead"
        type="button"
        class="button button-main"
        @click="inviting = { role: 'surveyor', note: '', person: null }"
      >
        Invite somebody
      </button>
    </PageHead>
    <main class="px-4 desk:px-6 py-4 grid gap-8 content-start max-w-4xl">
      <p v-if="trouble && !naming && !inviting" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        {{ trouble }}
      </p>
      <p v-if="alone" class="border-l-8 border-reed pl-3">
        You work alone on this machine, and nothing asks for a password. To work with others, make your own account
        first: then you can invite them, each with a role.
      </p>
      <section v-if="data.members.length" aria-labelledby="members-title" class="grid gap-1">
        <h2 id="members-title" class="text-2xl border-b-2 border-ink pb-1">With an account</h2>
        <ol class="grid">
          <li
            v-for="m in data.members"
            :key="m.id"
            class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule py-2"
          >
            <p class="grow basis-56 min-w-0 leading-snug">
              <b>{{ m.name }}</b><span v-if="m.you" class="text-pencil"> (you)</span>
              <span class="block text-pencil text-base break-words"
                >{{ m.login ?? m.account_name }}, since {{ dayAndTime(m.joined_at) }}</span
              >
            </p>
            <label v-if="mayLead" class="flex items-center gap-2">
              <span class="sr-only">Role of {{ m.name }}</span>
              <select
                class="field !w-40 !min-h-14"
                :value="m.role"
                :disabled="busy"
                @change="setRole(m, ($event.target as HTMLSelectElement).value)"
              >
                <option v-for="r in roles" :key="r.value" :value="r.value">{{ r.name }}</option>
              </select>
            </label>
            <span v-else class="font-semibold">{{ m.role }}</span>
            <span v-if="mayLead || m.you" class="flex flex-wrap gap-2">
              <button v-if="mayLead && data.people.length" type="button" class="button button-desk" @click="taking = m">
                Take over a name<span class="sr-only"> for {{ m.name }}</span>
              </button>
              <button type="button" class="button button-desk" @click="removing = m">
                {{ m.you ? 'Leave' : 'Remove' }}<span class="sr-only">: {{ m.name }}</span>
              </button>
            </span>
          </li>
        </ol>
        <dl class="mt-2 text-base text-pencil grid gap-x-3 grid-cols-[auto_1fr]">
          <template v-for="r in data.roles" :key="r.value"
            ><dt class="font-semibold">{{ r.value }}</dt>
            <dd>{{ r.says }}</dd></template
          >
        </dl>
      </section>
      <section aria-labelledby="people-title" class="grid gap-1">
        <div class="flex flex-wrap items-end justify-between gap-2 border-b-2 border-ink pb-1">
          <h2 id="people-title" class="text-2xl">With a name only</h2>
          <button v-if="mayWrite" type="button" class="button button-desk" @click="naming = { of: 'new', name: '' }">
            Add a person
          </button>
        </div>
        <p class="text-pencil text-base">
          Visiting hands and whoever came with an import. Two of one name are told apart by a number.
        </p>
        <p v-if="!data.people.length" class="py-2">Nobody.</p>
        <ol v-else class="grid desk:grid-cols-2 desk:gap-x-8">
          <li v-for="p in data.people" :key="p.id" class="flex items-center gap-4 border-b border-rule min-h-14">
            <b class="grow min-w-0 truncate">{{ p.name }}</b>
            <button
              v-if="mayLead"
              type="button"
              class="button button-desk"
              @click="naming = { of: p.id, name: p.name }"
            >
              Rename<span class="sr-only">: {{ p.name }}</span>
            </button>
          </li>
        </ol>
      </section>
      <section v-if="mayLead && !alone" aria-labelledby="invited-title" class="grid gap-1">
        <h2 id="invited-title" class="text-2xl border-b-2 border-ink pb-1">Invited</h2>
        <p v-if="!data.invitations.length" class="text-pencil py-1">No invitation is open.</p>
        <ol class="grid">
          <li
            v-for="i in data.invitations"
            :key="i.id"
            class="flex flex-wrap items-center gap-x-4 border-b border-rule py-1"
          >
            <p class="grow basis-56 leading-snug">
              <b>{{ i.role }}</b><template v-if="i.as"> as {{ i.as }}</template
              ><template v-if="i.note">, {{ i.note }}</template>
              <span class="block text-pencil text-base">open until {{ dayAndTime(i.ends_at) }}</span>
            </p>
            <button type="button" class="button button-desk" @click="change('DELETE', `/api/invitations/${i.id}`)">
              Withdraw
            </button>
          </li>
        </ol>
      </section>
      <section aria-labelledby="books-title" class="grid gap-1">
        <div class="flex flex-wrap items-end justify-between gap-2 border-b-2 border-ink pb-1">
          <h2 id="books-title" class="text-2xl">Fieldbooks</h2>
          <button type="button" class="button button-desk" @click="naming = { of: 'another', name: '' }">
            Begin another
          </button>
        </div>
        <p class="text-pencil text-base">Each has members, sites and a bin of its own.</p>
        <ul class="grid">
          <li
            v-for="f in session?.fieldbooks ?? []"
            :key="f.id"
            class="flex items-center gap-4 border-b border-rule min-h-14"
          >
            <b class="grow min-w-0 truncate">{{ f.name }}</b><span class="text-pencil">{{ f.role }}</span>
            <span v-if="f.id === session?.fieldbook?.id" class="text-pencil">open here</span>
            <a v-else class="button button-desk" :href="`/fieldbooks/${f.id}`"
              >Open<span class="sr-only">: {{ f.name }}</span></a
            >
          </li>
        </ul>
      </section>
    </main>
    <SheetDialog v-if="inviting" open title="Invite somebody" @close="inviting = null">
      <form class="grid gap-4" novalidate @submit.prevent="invite">
        <ChoiceField v-model="inviting.role" label="Role" :options="roles" />
        <p class="text-pencil text-lg -mt-2">{{ says(inviting.role) }}</p>
        <label v-if="data.people.length" class="grid gap-1">
          <span class="font-semibold">They are</span>
          <select v-model="inviting.person" class="field">
            <option :value="null">somebody new</option>
            <option v-for="p in data.people" :key="p.id" :value="p.id">{{ p.name }}, who is named here already</option>
          </select>
        </label>
        <TextField v-model="inviting.note" label="Note, for you" hint="Such as for whom it is" />
        <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ trouble }}</p>
        <button type="submit" class="button button-main" :disabled="busy">Make the link</button>
      </form>
    </SheetDialog>
    <SheetDialog v-if="link" open title="Send them this link" @close="((link = null), (copied = false))">
      <div class="grid gap-4">
        <p>
          It lets one person in, once, until {{ dayAndTime(link.ends_at) }}. It is shown now and never again: send it
          where nobody else reads it.
        </p>
        <output class="block border-2 border-ink bg-leaf p-3 text-base break-all select-all">{{ link.address }}</output>
        <p v-if="onlyHere" class="border-l-8 border-lit-line bg-lit text-lit-ink px-3 py-2">
          This address works on this machine alone.
          <RouterLink class="underline underline-offset-4" to="/network">Open it to phones</RouterLink> first, to invite
          from there.
        </p>
        <div class="flex flex-wrap items-center gap-3">
          <button type="button" class="button button-main" @click="copy">Copy</button>
          <span role="status">{{ copied ? 'Copied' : '' }}</span>
        </div>
      </div>
    </SheetDialog>
    <SheetDialog
      v-if="naming"
      open
      :title="typeof naming.of === 'number' ? 'Rename the person' : TITLES[naming.of]"
      @close="naming = null"
    >
      <form class="grid gap-4" novalidate @submit.prevent="keepName">
        <TextField v-model="naming.name" label="Name" first :error="trouble" />
        <p v-if="typeof naming.of === 'number'" class="text-pencil text-lg">
          Wherever the name stands, it stands so then.
        </p>
        <button type="submit" class="button button-main" :disabled="busy">Save</button>
      </form>
    </SheetDialog>
    <SheetDialog v-if="taking" open :title="`Which name is ${taking.name}?`" @close="taking = null">
      <div class="grid gap-3">
        <p>All that was written under it is theirs from then on, to change as well.</p>
        <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ trouble }}</p>
        <button
          v-for="p in data.people"
          :key="p.id"
          type="button"
          class="button !justify-start"
          :disabled="busy"
          @click="takeOver(p.id)"
        >
          {{ p.name }}
        </button>
      </div>
    </SheetDialog>
    <SheetDialog
      v-if="removing"
      open
      :title="removing.you ? `Leave ${session?.fieldbook?.name}?` : `Remove ${removing.name}?`"
      @close="removing = null"
    >
      <div class="grid gap-3">
        <p>What {{ removing.you ? 'you' : 'they' }} wrote stays, under the name. It can be undone by an invitation.</p>
        <div class="flex flex-wrap gap-2">
          <button type="button" class="button button-main grow" @click="remove">
            {{ removing.you ? 'Leave' : 'Remove' }}
          </button>
          <button type="button" class="button" @click="removing = null">Stay</button>
        </div>
      </div>
    </SheetDialog>
  </div>
</template>
