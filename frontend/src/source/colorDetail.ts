/** Those that pass for a colour, and what it is used for. */
export interface ColorDetail {
  alike: readonly string[]
  uses: string
}
