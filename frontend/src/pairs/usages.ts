/** What a pair can be used for, in the order of the list. What each needs is the server's to say. */
import type { Usage } from '@/api/types'

export const USAGES: readonly { value: Usage; label: string }[] = [
  { value: 'body text', label: 'Body text' },
  { value: 'large text', label: 'Large text' },
  { value: 'button label', label: 'Button label' },
  { value: 'link', label: 'Link' },
  { value: 'link beside text', label: 'Link, told from its text by colour' },
  { value: 'part of a control', label: 'Part of a control, or a graphic' },
  { value: 'focus indicator', label: 'Focus indicator' },
  { value: 'decoration', label: 'Decoration, exempt' },
  { value: 'disabled', label: 'Disabled, exempt' },
  { value: 'logotype', label: 'Logotype, exempt' },
]
