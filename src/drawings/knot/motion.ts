/**
 * What moves in the picture of a knot without the page being told: the moment of the tying, and how it is turned.
 */

/** A little from the side and from above, so that what passes in front is seen to. */
const AT_FIRST = { turn: -18, tilt: 12 } as const
/** It is not looked at from straight above or below. */
const STEEPEST = 80
/** A slow frame is not made up for: s. */
const LONGEST = 0.06

export class Motion {
  /** The moment: so many stages are done. */
  at: number
  /** Degrees; see `View`. */
  turn: number = AT_FIRST.turn
  tilt: number = AT_FIRST.tilt
  private toward: number
  /** Stages a second; 0 goes there at once. */
  private speed = 0
  private held = false
  private readonly watchers = new Set<() => void>()

  constructor(stage: number) {
    this.at = stage
    this.toward = stage + 1
  }

  /** Tells when there is something to draw; answers with what ends the telling. */
  watch(stirred: () => void): () => void {
    this.watchers.add(stirred)
    return () => this.watchers.delete(stirred)
  }

  private stir(): void {
    for (const stirred of this.watchers) stirred()
  }

  get moving(): boolean {
    return this.at !== this.toward || this.held
  }

  /** Ties a stage before the eye; what is more than a stage off is shown as it is. */
  tie(stage: number, speed: number): void {
    this.toward = stage + 1
    this.speed = speed
    if (Math.abs(this.toward - this.at) > 1.01) this.at = stage
    this.stir()
  }

  advance(seconds: number): void {
    const left = this.toward - this.at
    const step = this.speed * Math.min(seconds, LONGEST)
    this.at = this.speed === 0 || Math.abs(left) <= step ? this.toward : this.at + Math.sign(left) * step
  }

  turnBy(turn: number, tilt: number): void {
    this.turn -= turn
    this.tilt = Math.max(-STEEPEST, Math.min(STEEPEST, this.tilt + tilt))
    this.stir()
  }

  lookFrom(inside: boolean): void {
    this.turn = AT_FIRST.turn + (inside ? 180 : 0)
    this.tilt = AT_FIRST.tilt
    this.stir()
  }

  hold(held: boolean): void {
    this.held = held
    this.stir()
  }
}
