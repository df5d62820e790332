/** Proposals: what is built is what is proposed to the newest choice. */
import { expect, it } from 'vitest'
import { ref, shallowRef } from 'vue'
import type { Choice, Source, TakeDocument } from '@/api/types'
import { useProposal } from '@/source/useProposal'
import { inScope } from '@/testing/scopes'
import { answer, calls, later, Refusal, settled } from '@/testing/server'
import { assigned, swatch, takeOf } from '@/testing/takes'
import { useUnanswered } from '@/ui/useAnswer'

const named = (name: string): TakeDocument => takeOf({ swatches: [swatch('s1', name, '#2b3a8c')] })

const found = (hex: string, share: number, changes = {}) => ({
  hex,
  name: hex,
  share,
  artwork_share: share,
  ground_share: 0,
  is_stop: false,
  picked: false,
  role: null,
  ...changes,
})

const LOGO = {
  id: 'x1',
  name: 'logo.svg',
  kind: 'image',
  image: {},
  least_share: 0.005,
  colors: [
    found('#2b3a8c', 0.3, { artwork_share: 0.6 }),
    found('#ffffff', 0.6, { ground_share: 0.5, artwork_share: 0.2 }),
    found('#d7b13c', 0.09, { artwork_share: 0.18 }),
    found('#777777', 0.001, { artwork_share: 0.002 }),
  ],
} as unknown as Source
type Asked = { colors: { hex: string; share: number; choice: Choice | null }[] }

it('a proposal is asked for all that was found, and a role is wished for by one colour', async () => {
  const proposed = takeOf()
  answer('POST /api/proposals', ({ body }) => ({
    roles: [],
    choices: (body as Asked).colors.map(({ choice }) => choice ?? 'keep'),
    impossible: [],
    document: proposed,
  }))
  const { offers, choose, leaveOutGround } = inScope(() =>
    useProposal(ref(LOGO), shallowRef(takeOf({ swatches: [], roles: [], pairs: [] }))),
  )
  await settled()
  expect(offers.value.map(({ color, share }) => [color.hex, share])).toEqual([
    ['#2b3a8c', 0.6],
    ['#ffffff', 0.2],
    ['#d7b13c', 0.18],
  ])
  choose('#2b3a8c', 'primary')
  await settled()
  choose('#d7b13c', 'primary')
  await settled()
  expect((calls.at(-1)?.body as Asked).colors.map(({ choice }) => choice)).toEqual([
    null,
    null,
    'primary',
    null,
  ])
  expect(calls.at(-1)?.body).toMatchObject({ kind: 'image', leave_out_ground: true })
  leaveOutGround.value = false
  await settled()
  expect(offers.value.map(({ color }) => color.hex)[0]).toBe('#ffffff')
})

it('a choice that is made while a proposal is on its way leaves other colours what they were', async () => {
  const own: Record<string, Choice> = { '#2b3a8c': 'primary', '#d7b13c': 'accent' }
  const proposal = (body: unknown) => ({
    roles: [],
    choices: (body as Asked).colors.map(({ hex, choice }) => choice ?? own[hex] ?? 'leave out'),
    impossible: [],
    document: takeOf(),
  })
  answer('POST /api/proposals', ({ body }) => proposal(body))
  const picked = ref({ ...LOGO, colors: LOGO.colors?.slice(0, 3) })
  const { offers, choose, leaveOutGround } = inScope(() =>
    useProposal(picked, shallowRef(takeOf({ swatches: [], roles: [], pairs: [] }))),
  )
  await settled()
  const shown = () => offers.value.map(({ color, choice }) => `${color.hex} ${choice}`)
  expect(shown()).toEqual(['#2b3a8c primary', '#ffffff leave out', '#d7b13c accent'])

  // White comes first and one colour more is there, but nothing has been proposed to that yet.
  const slow = later<null>()
  answer('POST /api/proposals', async ({ body }) => {
    await slow.promise
    return proposal(body)
  })
  picked.value = { ...LOGO, colors: [...(LOGO.colors ?? []), found('#b6653a', 0.08)] }
  own['#b6653a'] = 'secondary'
  leaveOutGround.value = false
  await settled()
  expect(shown().slice(0, 3)).toEqual(['#ffffff leave out', '#2b3a8c primary', '#d7b13c accent'])

  choose('#d7b13c', 'link')
  choose('#2b3a8c', 'accent')
  slow.release(null)
  await settled()
  expect(shown()).toEqual([
    '#ffffff leave out',
    '#2b3a8c accent',
    '#d7b13c link',
    '#b6653a secondary',
  ])

  // A role goes to whom it was given last, also if the other colour isn't there at the moment.
  choose('#ffffff', 'paper')
  picked.value = { ...LOGO, colors: LOGO.colors?.filter(({ hex }) => hex !== '#ffffff') }
  await settled()
  choose('#d7b13c', 'paper')
  picked.value = LOGO
  await settled()
  expect(shown()).toEqual(['#ffffff leave out', '#2b3a8c accent', '#d7b13c paper'])
})

it('what is built is what is proposed to the newest choice, also while it is on its way', async () => {
  const take = shallowRef(
    takeOf({
      swatches: [swatch('s1', 'Night', '#2b3a8c')],
      roles: [assigned('primary', 's1')],
      pairs: [],
    }),
  )
  const proposal = (document: TakeDocument) => ({
    roles: [],
    choices: [],
    impossible: [],
    document,
  })
  answer('POST /api/proposals', () => proposal(take.value))
  const { current, isAsProposed, isBuilt } = inScope(() => useProposal(ref(LOGO), take))
  await settled()
  expect([isBuilt.value, isAsProposed.value]).toEqual([true, true])
  const slow = later<TakeDocument>()
  answer('POST /api/proposals', async () => proposal(await slow.promise))
  take.value = takeOf()
  const built = current()
  await settled()
  expect(isAsProposed.value).toBe(true)
  slow.release(named('Newest'))
  expect((await built)?.swatches[0]?.name).toBe('Newest')
  expect(isAsProposed.value).toBe(false)
})

it('where a proposal fails, the one before it is not built', async () => {
  const take = shallowRef(takeOf())
  answer('POST /api/proposals', () => ({
    roles: [],
    choices: [],
    impossible: [],
    document: named('Before'),
  }))
  const { current, proposal } = inScope(() => useProposal(ref(LOGO), take))
  await settled()
  expect(proposal.value).toBeDefined()
  answer('POST /api/proposals', () => new Refusal({ status: 503, detail: 'Not now.' }))
  take.value = takeOf({ level: 'AAA' })
  expect(await current()).toBeUndefined()
  expect(useUnanswered().problem.value).toBe('Not now.')
  answer('POST /api/proposals', () => ({
    roles: [],
    choices: [],
    impossible: [],
    document: named('After'),
  }))
  useUnanswered().askAgain()
  expect((await current())?.swatches[0]?.name).toBe('After')
})
