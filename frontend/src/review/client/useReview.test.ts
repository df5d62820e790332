/** The open review: what comes overtakes nothing, what fails is said, what is over is over. */
import { effectScope } from 'vue'
import { expect, it } from 'vitest'
import type { Said } from '@/api/types'
import { aReview } from '@/testing/review'
import { Refusal } from './talk'
import type { Shown, Talk } from './talk'
import { useReview } from './useReview'

const NOTHING: Said = { remarks: [], choices: [], approval: null }
const remark = (id: string, isOwn = false): Said['remarks'][number] => ({
  id,
  answers: null,
  about: {
    kind: 'whole',
    place: null,
    page: '',
    scheme: 'day',
    width: 'wide',
    part: '',
    hex: null,
    name: '',
  },
  author: 'Your designer',
  is_designer: true,
  is_own: isOwn,
  text: id,
  created_at: '2026-11-29T12:00:00Z',
  edited_at: null,
  is_taken_back: false,
  is_resolved: false,
})
const SHOWN: Shown = {
  id: 'r',
  ...aReview(),
  mayComment: true,
  mayChoose: true,
  mayApprove: true,
  reader: 'Ana',
  endsAt: undefined,
  mostCharacters: 2000,
  said: NOTHING,
}

function talking(changes: Partial<Talk> = {}) {
  let tell: (() => void) | undefined
  const refuse = () => Promise.reject(new Refusal('Not here.'))
  const talk: Talk = {
    isOnline: true,
    open: () => Promise.resolve(SHOWN),
    unlock: () => Promise.resolve(),
    said: () => Promise.resolve(NOTHING),
    say: refuse,
    edit: refuse,
    takeBack: refuse,
    choose: refuse,
    approve: refuse,
    follow: (listener) => {
      tell = listener
      return () => (tell = undefined)
    },
    fileOf: () => '',
    drawingHead: () => '',
    ...changes,
  }
  const scope = effectScope()
  const review = scope.run(() => useReview(talk))
  if (!review) throw new Error('no review')
  return { review, tell: () => tell?.(), isFollowing: () => tell !== undefined, scope }
}
const settled = () => new Promise((resolve) => setTimeout(resolve))

it('opens with who the link was made for', async () => {
  const { review, scope, isFollowing } = talking()
  await settled()
  expect([review.state.value, review.name.value]).toEqual(['shown', 'Ana'])
  expect(isFollowing()).toBe(true)
  scope.stop()
  expect(isFollowing()).toBe(false)
})

it('asks once more for what came while it was asking', async () => {
  const answers: ((said: Said) => void)[] = []
  const { review, tell } = talking({
    said: () => new Promise((resolve) => answers.push(resolve)),
  })
  await settled()
  tell()
  await settled()
  tell()
  tell()
  answers[0]?.({ ...NOTHING, remarks: [remark('first')] })
  await settled()
  expect(answers).toHaveLength(2)
  answers[1]?.({ ...NOTHING, remarks: [remark('first'), remark('second')] })
  await settled()
  expect(review.said.value.remarks.map((one) => one.id)).toEqual(['first', 'second'])
  expect(review.news.value).toContain('Your designer added a remark')
})

it('says why something was not done, and keeps what was there', async () => {
  const { review } = talking()
  await settled()
  expect(await review.choose(0)).toBe(false)
  expect([review.problem.value, review.said.value]).toEqual(['Not here.', NOTHING])
  review.dismiss()
  expect(review.problem.value).toBe('')
})

it('asks for the passphrase, and opens with it', async () => {
  let isLocked = true
  const { review } = talking({
    open: () => (isLocked ? Promise.reject(new Refusal('Locked', true)) : Promise.resolve(SHOWN)),
    unlock: (passphrase) => {
      if (passphrase !== 'dome') return Promise.reject(new Refusal('That passphrase is wrong.'))
      isLocked = false
      return Promise.resolve()
    },
  })
  await settled()
  expect(review.state.value).toBe('locked')
  await review.unlock('guess')
  expect([review.state.value, review.problem.value]).toEqual([
    'locked',
    'That passphrase is wrong.',
  ])
  await review.unlock('dome')
  expect(review.state.value).toBe('shown')
})

it('is over when it was withdrawn, and listens no longer', async () => {
  const { review, tell, isFollowing } = talking({
    said: () => Promise.reject(new Refusal('This review was withdrawn.', false, true)),
  })
  await settled()
  tell()
  await settled()
  expect([review.state.value, review.problem.value]).toEqual(['over', 'This review was withdrawn.'])
  expect(isFollowing()).toBe(false)
})

it('a line that is gone for a moment ends nothing', async () => {
  const { review, tell } = talking({ said: () => Promise.reject(new Refusal('No connection.')) })
  await settled()
  tell()
  await settled()
  expect([review.state.value, review.problem.value]).toEqual(['shown', ''])
})
