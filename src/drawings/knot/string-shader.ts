/**
 * How a string's skin is shaded: lit from above, darker at its edge as a drawing is, and patterned by the part it belongs to;
 * and how the wood, gut and metal beside it are.
 */
import { Color, ShaderMaterial } from 'three'
import type { Texture } from '../field/texture'

export interface StringTints {
  /** Of the string itself, where the present stage has not laid it. */
  readonly string: string
  readonly fresh: string
  readonly ink: string
  readonly light: string
}

const SURFACES: Record<Texture['surface'], number> = { clear: 0, bright: 0, twisted: 1, ribbed: 2 }

export function stringMaterial(
  { string, fresh, ink, light }: StringTints,
  surface: Texture['surface'],
): ShaderMaterial {
  return new ShaderMaterial({
    uniforms: {
      string: { value: new Color(string) },
      fresh: { value: new Color(fresh) },
      ink: { value: new Color(ink) },
      light: { value: new Color(light) },
      surface: { value: SURFACES[surface] },
    },
    vertexShader: /* glsl */ `
      attribute vec4 place;
      varying vec3 vNormal;
      varying vec4 vPlace;
      void main() {
        vNormal = normalMatrix * normal;
        vPlace = place;
        gl_Position = projectionMatrix * modelViewMatrix * vec4(position, 1.0);
      }`,
    fragmentShader: /* glsl */ `
      uniform vec3 string, fresh, ink, light;
      uniform int surface;
      varying vec3 vNormal;
      varying vec4 vPlace;
      void main() {
        vec3 n = normalize(vNormal);
        vec3 base = mix(string, fresh, vPlace.w);
        if (surface == 1) base *= 0.93 + 0.07 * step(0.5, fract(vPlace.x * 0.8 + vPlace.y * 2.0));
        if (surface == 2) base *= 0.82 + 0.18 * step(0.3, fract(vPlace.x * 4.0));
        // The working end carries a light thread that winds round it; the tag is ringed.
        if (vPlace.z > 0.5 && vPlace.z < 1.5) base = mix(base, mix(ink, light, vPlace.w), step(0.8, fract(vPlace.x * 0.3 + vPlace.y)) * 0.75);
        if (vPlace.z > 1.5) base = mix(base, ink, step(0.62, fract(vPlace.x * 0.9)) * 0.8);
        float lit = 0.62 + 0.38 * max(0.0, dot(n, normalize(vec3(-0.35, 0.7, 0.65))));
        vec3 colour = base * lit;
        colour = mix(colour, light, 0.25 * pow(max(0.0, dot(n, normalize(vec3(-0.25, 0.5, 0.85)))), 24.0));
        gl_FragColor = vec4(mix(ink, colour, smoothstep(0.12, 0.42, n.z)), 1.0);
        #include <colorspace_fragment>
      }`,
  })
}

/** Wood, gut or metal: one tint, lit as the string is. No more than that, since it is drawn without a graphics card too. */
export function solidMaterial(tint: string): ShaderMaterial {
  return new ShaderMaterial({
    uniforms: { tint: { value: new Color(tint) } },
    vertexShader: /* glsl */ `
      varying float lit;
      void main() {
        lit = 0.66 + 0.34 * dot(normalize(normalMatrix * normal), normalize(vec3(-0.35, 0.7, 0.65)));
        gl_Position = projectionMatrix * modelViewMatrix * vec4(position, 1.0);
      }`,
    fragmentShader: /* glsl */ `
      uniform vec3 tint;
      varying float lit;
      void main() {
        gl_FragColor = vec4(tint * lit, 1.0);
        #include <colorspace_fragment>
      }`,
  })
}
