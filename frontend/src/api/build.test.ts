import { beforeEach, describe, expect, it, vi } from 'vitest'

const answer = (build?: string) =>
  new Response('', { headers: build ? { 'X-Tonada-Build': build } : {} })

describe('a new version', () => {
  beforeEach(() => {
    vi.resetModules()
  })
  it('is another build than that of the first answer', async () => {
    const { noteBuild, useOutdated } = await import('./build')
    const { isOutdated } = useOutdated()
    noteBuild(answer())
    expect(isOutdated.value).toBe(false)
    noteBuild(answer('one'))
    noteBuild(answer('one'))
    noteBuild(answer())
    expect(isOutdated.value).toBe(false)
    noteBuild(answer('two'))
    expect(isOutdated.value).toBe(true)
  })
  it('stays dismissed, until there is yet another', async () => {
    const { noteBuild, useOutdated } = await import('./build')
    const { isOutdated, dismiss } = useOutdated()
    noteBuild(answer('one'))
    noteBuild(answer('two'))
    dismiss()
    noteBuild(answer('two'))
    expect(isOutdated.value).toBe(false)
    noteBuild(answer('three'))
    expect(isOutdated.value).toBe(true)
  })
})
