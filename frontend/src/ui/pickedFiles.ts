/** The files that were chosen in a field; it is emptied, so that the same file can be chosen again. */
export function pickedFiles(event: Event): File[] {
  const input = event.target
  if (!(input instanceof HTMLInputElement)) return []
  const files = [...(input.files ?? [])]
  input.value = ''
  return files
}
