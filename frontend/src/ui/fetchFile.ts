/** Let the browser save what an address of ours answers, under the name that comes with it. */
export function fetchFile(address: string) {
  follow(address, '')
}

/** Let the browser save what is here already. */
export function saveFile(content: Blob, name: string) {
  const address = URL.createObjectURL(content)
  follow(address, name)
  URL.revokeObjectURL(address)
}

function follow(address: string, name: string) {
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
}
