/** Save a text as a file of the browser’s downloads. */
export function saveText(name: string, text: string, type: string) {
  const address = URL.createObjectURL(new Blob([text], { type }))
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
  URL.revokeObjectURL(address)
}
