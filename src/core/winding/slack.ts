/**
 * Slack: how much string to leave loose before winding so that the wanted wraps lie on the pin at pitch.
 */
import { expectNotNegative, expectPositive } from '../expect'
import { lengthOnPin, wrapsFromLength, type WrapLay } from './lay'

/**
 * Slack for a number of wraps at pitch, N · π (D + d) − ΔL where they lie side by side, m. Negative when the stretch alone winds on more.
 *
 * @param wraps - wanted at pitch
 * @param pin - diameter of the tuning pin, m
 * @param gauge - outer diameter of the string, m
 * @param stretch - elongation from slack to pitch, m
 * @param lay - how they lie; crossing wraps take more string
 */
export function slackForWraps(
  wraps: number,
  pin: number,
  gauge: number,
  stretch: number,
  lay: WrapLay = 'toward the wood',
): number {
  return lengthOnPin(wraps, pin, gauge, lay) - expectNotNegative('stretch', stretch)
}

/** Wraps at pitch from a slack; the inverse of {@link slackForWraps}. */
export function wrapsFromSlack(
  slack: number,
  pin: number,
  gauge: number,
  stretch: number,
  lay: WrapLay = 'toward the wood',
): number {
  return wrapsFromLength(
    expectNotNegative('slack', slack) + expectNotNegative('stretch', stretch),
    pin,
    gauge,
    lay,
  )
}

/**
 * How far the loose string can be pulled sideways at mid-length, ½ √((L0 + s)² − L0²), m.
 *
 * @param freeLength - L0, m
 * @param slack - s, m
 */
export function sidewaysPull(freeLength: number, slack: number): number {
  const straight = expectPositive('free length', freeLength)
  return Math.sqrt((straight + expectNotNegative('slack', slack)) ** 2 - straight ** 2) / 2
}

/**
 * The slack that lets a loose string be pulled so far sideways at mid-length, m; the inverse of {@link sidewaysPull}.
 *
 * @param freeLength - L0, m
 * @param pull - sideways, m
 */
export function slackOfPull(freeLength: number, pull: number): number {
  const straight = expectPositive('free length', freeLength)
  return Math.sqrt(straight ** 2 + (2 * expectNotNegative('pull', pull)) ** 2) - straight
}
