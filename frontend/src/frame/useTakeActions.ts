import { until } from '@vueuse/core'
import { ref, shallowRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, explain, answerOf } from '@/api/client'
import type { Take } from '@/api/types'
import type { TakeAction } from './TakeTabs.vue'
import { asKept } from '@/take/scheme'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'

/** What the menu of a take does: new ones, names, order, deleting and its way back. */
export function useTakeActions() {
  const take = useTakeStore()
  const brand = useBrandStore()
  const route = useRoute()
  const router = useRouter()
  const isRenaming = ref(false)
  const showsDeleted = ref(false)
  const deleted = shallowRef<Take>()
  const problem = ref('')

  const takes = () => brand.detail?.takes ?? []
  const path = (id: string) => ({ params: { path: { take_id: id } } })

  async function attempt(work: () => Promise<unknown>) {
    problem.value = ''
    try {
      await work()
    } catch (reason) {
      problem.value = explain(reason)
    }
  }

  async function show(id: string) {
    await brand.refresh()
    await router.push({ name: route.name ?? 'source', params: { ...route.params, takeId: id } })
  }

  /** A take that is being opened still is waited for; unless another one is gone to meanwhile. */
  async function isOpen(): Promise<boolean> {
    const { takeId } = route.params
    const isGone = () => route.params.takeId !== takeId
    await until(() => isGone() || (take.take?.id === takeId && take.document !== undefined)).toBe(
      true,
    )
    return !isGone()
  }

  const act = (action: TakeAction) =>
    attempt(async () => {
      if (action === 'deleted') showsDeleted.value = true
      if (!(await isOpen()) || !take.take || !take.document) return
      if (action === 'copy') await show((await take.createFrom(asKept(take.document))).id)
      else if (action === 'empty') await show((await take.createEmpty()).id)
      else if (action === 'rename') isRenaming.value = true
      else if (action === 'left' || action === 'right') await move(action === 'left' ? -1 : 1)
      else if (action === 'delete') await remove(take.take)
      else if (action !== 'deleted' && action !== 'file')
        await router.push({ name: action, params: route.params })
    })

  const rename = (name: string) =>
    attempt(async () => {
      if (!take.take) return
      await answerOf(api.PATCH('/api/takes/{take_id}', { ...path(take.take.id), body: { name } }))
      await brand.refresh()
    })

  async function move(by: number) {
    const ids = takes().map((one) => one.id)
    const from = ids.indexOf(take.take?.id ?? '')
    const moved = ids.splice(from, 1)
    ids.splice(from + by, 0, ...moved)
    const brandId = brand.detail?.brand.id ?? ''
    await api.PUT('/api/brands/{brand_id}/takes', {
      params: { path: { brand_id: brandId } },
      body: { takes: ids },
    })
    await brand.refresh()
  }

  async function remove(gone: Take) {
    await api.DELETE('/api/takes/{take_id}', path(gone.id))
    deleted.value = gone
    const next = takes().find((one) => one.id !== gone.id)
    if (next) await show(next.id)
  }

  const restore = (id: string) =>
    attempt(async () => {
      await answerOf(api.POST('/api/takes/{take_id}/restoration', path(id)))
      if (deleted.value?.id === id) deleted.value = undefined
      showsDeleted.value = false
      await show(id)
    })
  const bringBack = async () => {
    if (deleted.value) await restore(deleted.value.id)
  }

  return { act, rename, restore, bringBack, isRenaming, showsDeleted, deleted, problem }
}
