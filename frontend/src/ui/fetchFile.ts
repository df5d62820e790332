/** Let the browser save what an address of ours answers, under the name that comes with it. */
export function fetchFile(address: string) {
  const link = document.createElement('a')
  link.href = address
  link.download = ''
  link.click()
}
