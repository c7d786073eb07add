/**
 * Starting values for string materials, in SI units. They are general engineering figures with their certainty beside
 * them, never facts about one maker's string; docs/SCIENCE.md lists the sources.
 */

export const MATERIALS = [
  'gut',
  'nylon 6.12',
  'nylon 6.6',
  'fluorocarbon',
  'silk',
  'steel',
  'phosphor bronze',
  'brass',
  'copper',
] as const
export type Material = (typeof MATERIALS)[number]

export interface MaterialProperties {
  readonly name: Material
  /** kg/m³; firm. */
  readonly density: number
  /** Young's modulus at rest, Pa; an estimate. Zero for a material used only as a wrap. */
  readonly modulus: number
  /** How the tangent modulus grows with stress: E = modulus + stiffening · σ; an estimate. */
  readonly stiffening: number
  /** Fall per decade of age under held tension, cents; an estimate that the logged readings replace. */
  readonly drift: number
  /** Friction on the tuning pin; an estimate. */
  readonly friction: number
  /** Share of its strength that a string keeps at a knot; an estimate. */
  readonly knotKeeps: number
  /** Whether the material is a metal wire, with the cautions that go with it. */
  readonly wire: boolean
  /**
   * Working strength, Pa.
   * @param diameter - of the plain string or of the core, m
   */
  readonly strength: (diameter: number) => number
  /** Whether the strength is well established. */
  readonly strengthIsFirm: boolean
}

const MPa = 1e6
const GPa = 1e9
const always = (strength: number) => () => strength

const PROPERTIES: Record<Material, Omit<MaterialProperties, 'name'>> = {
  gut: {
    density: 1300,
    modulus: 5.5 * GPa,
    stiffening: 0,
    drift: 45,
    friction: 0.3,
    knotKeeps: 0.75,
    wire: false,
    strength: always(340 * MPa),
    strengthIsFirm: false,
  },
  'nylon 6.12': {
    density: 1070,
    modulus: 3 * GPa,
    stiffening: 25,
    drift: 110,
    friction: 0.2,
    knotKeeps: 0.65,
    wire: false,
    strength: always(350 * MPa),
    strengthIsFirm: false,
  },
  'nylon 6.6': {
    density: 1140,
    modulus: 3 * GPa,
    stiffening: 25,
    drift: 110,
    friction: 0.2,
    knotKeeps: 0.65,
    wire: false,
    strength: always(350 * MPa),
    strengthIsFirm: false,
  },
  fluorocarbon: {
    density: 1780,
    modulus: 3 * GPa,
    stiffening: 8,
    drift: 80,
    friction: 0.2,
    knotKeeps: 0.6,
    wire: false,
    strength: always(550 * MPa),
    strengthIsFirm: false,
  },
  silk: {
    density: 1300,
    modulus: 9 * GPa,
    stiffening: 0,
    drift: 60,
    friction: 0.25,
    knotKeeps: 0.75,
    wire: false,
    strength: always(400 * MPa),
    strengthIsFirm: false,
  },
  steel: {
    density: 7850,
    modulus: 205 * GPa,
    stiffening: 0,
    drift: 8,
    friction: 0.2,
    knotKeeps: 0.9,
    wire: true,
    strength: (d) => 2211 * MPa * (d * 1e3) ** -0.145,
    strengthIsFirm: true,
  },
  'phosphor bronze': {
    density: 8860,
    modulus: 110 * GPa,
    stiffening: 0,
    drift: 12,
    friction: 0.2,
    knotKeeps: 0.9,
    wire: true,
    strength: bronzeStrength,
    strengthIsFirm: true,
  },
  brass: {
    density: 8530,
    modulus: 103 * GPa,
    stiffening: 0,
    drift: 12,
    friction: 0.2,
    knotKeeps: 0.9,
    wire: true,
    strength: always(750 * MPa),
    strengthIsFirm: true,
  },
  copper: {
    density: 8960,
    modulus: 0,
    stiffening: 0,
    drift: 0,
    // On a steel pin, dry and worn smooth.
    friction: 0.2,
    knotKeeps: 0,
    wire: true,
    strength: always(0),
    strengthIsFirm: false,
  },
}

function bronzeStrength(diameter: number): number {
  const mm = diameter * 1e3
  if (mm <= 0.6) return 1000 * MPa
  return mm <= 2 ? 913 * MPa * mm ** -0.028 : 932 * MPa * mm ** -0.064
}

const NAMED = Object.fromEntries(
  Object.entries(PROPERTIES).map(([name, properties]) => [name, { name, ...properties }]),
) as Record<Material, MaterialProperties>

/** The starting values of one material. */
export function propertiesOf(material: Material): MaterialProperties {
  return NAMED[material]
}
