/** Wrong phrases: so many from one address, and so many in all, before nobody is asked for a while. */

const SPAN = 5 * 60_000
const FROM_ONE = 5
const IN_ALL = 30

export class Attempts {
  private failed: readonly { readonly address: string; readonly at: number }[] = []

  /** Whether a phrase from an address is looked at just now. */
  mayTry(address: string, now: number): boolean {
    this.failed = this.failed.filter(({ at }) => now - at < SPAN)
    return (
      this.failed.length < IN_ALL && this.failed.filter((one) => one.address === address).length < FROM_ONE
    )
  }

  wrong(address: string, now: number): void {
    this.failed = [...this.failed, { address, at: now }]
  }

  /** Whoever came in is held to nothing that was wrong before. */
  right(address: string): void {
    this.failed = this.failed.filter((one) => one.address !== address)
  }
}
