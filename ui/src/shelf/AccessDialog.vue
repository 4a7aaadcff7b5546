<script setup lang="ts">
import { mdiMagnify } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import type { ReelCard, Right } from '@/api/types'
import { say, sayProblem } from '@/ground/messages'
import DialogCard from '@/parts/DialogCard.vue'

/** What others may do with one of one's own reels. */
const CHOICES: { right: Right; label: string }[] = [
  { right: 'NOTHING', label: 'Nothing' },
  { right: 'LOOK', label: 'Look' },
  { right: 'WORK', label: 'Change' },
]
const EVERYONE = ''
/** More than these are searched. */
const MANY = 12

const props = defineProps<{ card: ReelCard }>()
const emit = defineEmits<{ copied: [] }>()
const shown = defineModel<boolean>({ required: true })

/** By name; everyone's without one. */
const rights = ref(new Map<string, Right>())
const everybodys = ref(false)
const wanted = ref<string | null>('')

const isSearched = computed(() => rights.value.size > MANY)
/** Everyone, and the people whose name has what is searched for. */
const found = computed(() =>
  [...rights.value].filter(
    ([name]) => name === EVERYONE || name.toLowerCase().includes((wanted.value ?? '').trim().toLowerCase()),
  ),
)

watch(shown, (now) => {
  if (now) void load()
})

async function load(): Promise<void> {
  try {
    const told = await answer(api.GET('/api/reels/{id}/access', { params: { path: { id: props.card.id } } }))
    everybodys.value = told.owner === null
    const given = new Map(told.people.map(({ name, right }) => [name, right]))
    const people = told.names.map((name): [string, Right] => [name, given.get(name) ?? 'NOTHING'])
    const first = people.filter(([name]) => given.has(name))
    const rest = people.filter(([name]) => !given.has(name))
    rights.value = new Map([[EVERYONE, told.everyone], ...first, ...rest])
    wanted.value = ''
  } catch (failure) {
    shown.value = false
    sayProblem(failure)
  }
}

async function copy(): Promise<boolean> {
  try {
    await answer(api.POST('/api/reels/{id}/copies', { params: { path: { id: props.card.id } } }))
    say(`A copy of “${props.card.name}” is on your shelf.`)
    emit('copied')
    return true
  } catch (failure) {
    sayProblem(failure)
    return false
  }
}

async function save(): Promise<boolean> {
  const people = [...rights.value]
    .filter(([name, right]) => name !== EVERYONE && right !== 'NOTHING')
    .map(([name, right]) => ({ name, right }))
  const body = { everyone: rights.value.get(EVERYONE) ?? 'NOTHING', people }
  try {
    await answer(api.PUT('/api/reels/{id}/access', { params: { path: { id: props.card.id } }, body }))
    say(
      body.everyone === 'NOTHING' && people.length === 0
        ? `“${props.card.name}” is yours alone.`
        : `Others find “${props.card.name}” on their shelf now.`,
    )
    return true
  } catch (failure) {
    sayProblem(failure)
    return false
  }
}
</script>

<template>
  <dialog-card
    v-if="everybodys"
    v-model="shown"
    :title="`“${card.name}” is everybody’s`"
    verb="Copy it"
    :width="460"
    :done="copy"
  >
    <p class="quiet">
      It was made before people had names here, so all who sign in may change it. A copy of it is yours, and you say who
      may see that.
    </p>
  </dialog-card>
  <dialog-card v-else v-model="shown" :title="`Who may see “${card.name}”`" verb="Save" :width="520" :done="save">
    <p v-if="rights.size === 1" class="quiet">You are the only one with a name here.</p>
    <v-text-field
      v-if="isSearched"
      v-model="wanted"
      label="Find a name"
      density="compact"
      clearable
      hide-details
      class="search"
      :prepend-inner-icon="mdiMagnify"
    />
    <div class="people">
      <fieldset v-for="[name, right] in found" :key="name">
        <legend>{{ name === EVERYONE ? 'All who sign in' : name }}</legend>
        <v-btn-toggle
          :model-value="right"
          mandatory
          density="compact"
          variant="outlined"
          color="primary"
          divided
          @update:model-value="rights.set(name, $event)"
        >
          <v-btn v-for="choice in CHOICES" :key="choice.right" :value="choice.right" size="small">{{
            choice.label
          }}</v-btn>
        </v-btn-toggle>
      </fieldset>
    </div>
    <p v-if="found.length === 1 && rights.size > 1" class="quiet">Nobody here has “{{ wanted }}” in their name.</p>
    <p class="quiet note">
      Whoever may look can play it, save what is made of it and copy it. Removing it stays yours.
    </p>
  </dialog-card>
</template>

<style scoped>
.people {
  display: grid;
  gap: 2px;
  max-height: 46dvh;
  margin-inline: -8px;
  overflow-y: auto;
}

.search {
  margin-bottom: 8px;
}

fieldset {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  padding: 5px 8px;
  border-radius: 8px;
}

fieldset:first-child {
  background: var(--sunk);
  font-weight: 650;
}

/* A legend takes part in the row only where it floats. */
legend {
  float: left;
  flex: 1 1 0;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
}

.v-btn-toggle {
  flex: none;
}

.note {
  margin: 14px 0 0;
  font-size: 14px;
}
</style>
