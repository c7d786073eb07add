'use client'

import { Canvas, useFrame, useThree } from '@react-three/fiber'
import { useEffect, useMemo, useRef, useState } from 'react'
import { Euler, Quaternion, Vector3, type Group, type OrthographicCamera, type ShaderMaterial } from 'three'
import type { TyingState } from '@/core/knots/tails/state'
import type { FixtureKind } from '@/core/knots/tails/tail-end'
import { mirrored } from '@/core/knots/topology/curve'
import { tightness, type Tying } from '@/core/knots/tying'
import { itemAt } from '@/core/list/item-at'
import type { Texture } from '../field/texture'
import type { Frame, Hand } from './frame'
import type { Motion } from './motion'
import { layTube, tubeGeometry } from './tube'
import { solidMaterial, stringMaterial, type StringTints } from './string-shader'

export interface SceneTints extends StringTints {
  readonly wood: string
  readonly wire: string
  readonly anchor: string
}

interface SceneProps {
  readonly tying: Tying
  readonly motion: Motion
  readonly frame: Frame
  readonly hand: Hand
  readonly tints: SceneTints
  readonly surface: Texture['surface']
  /** How much wider than a supple string's its open loops are; 1 and up. */
  readonly openness: number
  /** Of the eyelet, in gauges. */
  readonly bore: number
  readonly onMoved: (state: TyingState) => void
}

/** A fastening in space, turned by whoever looks at it. Pictures are made only while something moves. */
export default function KnotScene(props: SceneProps) {
  return (
    <Canvas
      orthographic
      frameloop="demand"
      dpr={1}
      gl={{ antialias: false, alpha: false, stencil: false }}
      camera={{ position: [0, 0, 60], near: 1, far: 140 }}
      aria-hidden
    >
      <Scene {...props} />
    </Canvas>
  )
}

/** Frames slower than this, s, are drawn coarser while something moves. */
const SLOW_FRAME = 0.019
/** At rest every pixel is drawn four times over, which smooths the edges. */
const AT_REST = 2

/** While it moves, as fine as keeps the pace; at rest, finer than the screen. */
class Pace {
  still = false
  private fine = 1

  keep(seconds: number, moving: boolean, setDpr: (dpr: number) => void): void {
    if (!moving) {
      if (!this.still) setDpr(AT_REST)
    } else if (this.still) setDpr(this.fine)
    // The first frame after a rest says nothing of the pace.
    else if (seconds > SLOW_FRAME && this.fine > 0.5) {
      this.fine = Math.max(0.5, this.fine - 0.1)
      setDpr(this.fine)
    }
    this.still = !moving
  }
}

/** The whole frame fits in the picture. */
function fit(
  eye: OrthographicCamera,
  size: { readonly width: number; readonly height: number },
  frame: Frame,
): void {
  const zoom = Math.min(size.width / frame.width, size.height / frame.height)
  if (eye.zoom === zoom) return
  eye.zoom = zoom
  eye.updateProjectionMatrix()
}

const GRAINY: ReadonlySet<FixtureKind> = new Set(['bead', 'foot', 'bar', 'neck'])

function Scene({ tying, motion, frame, hand, tints, surface, openness, bore, onMoved }: SceneProps) {
  const invalidate = useThree((three) => three.invalidate)
  const setDpr = useThree((three) => three.setDpr)
  const [pace] = useState(() => new Pace())
  const [string] = useState(() => tubeGeometry())
  const [cord] = useState(() => tubeGeometry())
  const group = useRef<Group>(null)
  const rods = useRef<Group>(null)
  const laid = useRef<{ at: number; tying: Tying; hand: Hand; state: TyingState } | null>(null)
  const skin = useMemo(() => stringMaterial(tints, surface), [tints, surface])
  const cordSkin = useMemo(() => stringMaterial({ ...tints, string: tints.anchor }, 'twisted'), [tints])
  const solids = useMemo(
    () => ({
      wood: solidMaterial(tints.wood),
      wire: solidMaterial(tints.wire),
      anchor: solidMaterial(tints.anchor),
    }),
    [tints],
  )
  const fixtures = useMemo(() => tying.stateAt(tying.stages.length).fixtures, [tying])
  useEffect(
    () => () => {
      for (const geometry of [string, cord]) geometry.dispose()
    },
    [string, cord],
  )
  useEffect(
    () => () => {
      for (const material of [skin, cordSkin, ...Object.values(solids)]) material.dispose()
    },
    [skin, cordSkin, solids],
  )
  useEffect(() => motion.watch(invalidate), [motion, invalidate])
  useEffect(() => invalidate(), [invalidate, tints, hand, tying, openness, bore, frame])

  useFrame(({ camera, size }, delta) => {
    fit(camera as OrthographicCamera, size, frame)
    motion.advance(delta)
    const { at, turn, tilt } = motion
    // Looked at from around the middle of what is shown.
    const rotation = new Euler((tilt * Math.PI) / 180, (-turn * Math.PI) / 180, 0, 'XYZ')
    group.current?.rotation.copy(rotation)
    group.current?.position.copy(
      new Vector3(0, -(frame.top + frame.height / 2), 0).applyEuler(rotation).negate(),
    )
    const last = laid.current
    if (last?.at !== at || last.tying !== tying || last.hand !== hand) {
      const state = tying.stateAt(at)
      const flip = hand === 'left' ? mirrored : (curve: TyingState['curve']) => curve
      const tight = tightness(tying, at)
      layTube(string, {
        ...state,
        curve: flip(state.curve),
        radius: 0.5 / (openness + (1 - openness) * tight),
      })
      if (state.cord)
        layTube(cord, {
          curve: flip(state.cord),
          parts: state.cord.map(() => 'standing part'),
          fresh: [-1, -1],
          radius: 0.42,
        })
      cord.setDrawRange(0, state.cord ? Infinity : 0)
      rods.current?.children.forEach((child, i) => {
        const rod = state.fixtures[i]
        child.visible = rod !== undefined
        if (rod) child.position.set(...itemAt(flip([rod.at]), 0))
      })
      laid.current = { at, tying, hand, state }
    }
    if (laid.current) onMoved(laid.current.state)
    pace.keep(delta, motion.moving, setDpr)
    if (motion.moving || !pace.still) invalidate()
  })

  return (
    <>
      <color attach="background" args={[tints.light]} />
      <group ref={group}>
        <mesh geometry={string} material={skin} frustumCulled={false} />
        <mesh geometry={cord} material={cordSkin} frustumCulled={false} />
        <group ref={rods}>
          {fixtures.map(({ kind, axis, radius, half }, i) => (
            <mesh
              key={i}
              material={
                GRAINY.has(kind)
                  ? solids.wood
                  : kind === 'anchor' || kind === 'toggle'
                    ? solids.anchor
                    : solids.wire
              }
              quaternion={new Quaternion().setFromUnitVectors(
                new Vector3(0, 1, 0),
                new Vector3((hand === 'left' ? -1 : 1) * axis[0], axis[1], axis[2]).normalize(),
              )}
            >
              <cylinderGeometry args={[radius, radius, 2 * half, 28]} />
            </mesh>
          ))}
        </group>
        {tying.throughBoard && <Board bore={Math.max(1.3, bore)} wood={solids.wood} metal={solids.wire} />}
      </group>
    </>
  )
}

const BOARD = { half: 13, deep: 7, thick: 1.5 } as const

/** The board with its eyelet, as wide as the bore of the string that is fitted. */
function Board({ bore, wood, metal }: { bore: number; wood: ShaderMaterial; metal: ShaderMaterial }) {
  const hole = bore / 2 + 0.35
  const beside = BOARD.half - hole
  const behind = BOARD.deep / 2 - hole
  return (
    <group position={[0, BOARD.thick / 2, 0]}>
      {[-1, 1].map((side) => (
        <mesh key={side} position={[side * (hole + beside / 2), 0, 0]} material={wood}>
          <boxGeometry args={[beside, BOARD.thick, BOARD.deep]} />
        </mesh>
      ))}
      {[-1, 1].map((side) => (
        <mesh key={side} position={[0, 0, side * (hole + behind / 2)]} material={wood}>
          <boxGeometry args={[2 * hole, BOARD.thick, behind]} />
        </mesh>
      ))}
      <mesh position={[0, BOARD.thick / 2 + 0.04, 0]} rotation={[-Math.PI / 2, 0, 0]} material={metal}>
        <ringGeometry args={[bore / 2, hole + 0.7, 28]} />
      </mesh>
    </group>
  )
}
