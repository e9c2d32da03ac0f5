import { object, string, type InferType } from 'yup';
import { finite } from '../brace';
import type { Degrees } from '../quantity';

/**
 * What bars are made of. Strength and stiffness are typical values of common alloys, from memory; what a maker states of a bar
 * goes before them, and what a bar has shown under the irons goes before both.
 */
export const barMaterials = ['aluminium', 'aluminium-hard', 'steel', 'titanium', 'carbon-composite'] as const;
export type BarMaterial = (typeof barMaterials)[number];

export interface MaterialRule {
  /** yield strength and modulus of elasticity, MPa */
  yields: number;
  modulus: number;
  /** may it be bent cold at all */
  cold: boolean;
  /** least inside radius, in thicknesses */
  leastRadius: number;
  /** how often one place may be bent back the other way */
  backAgain: number;
}

/** Common practice and values from memory: a carbon composite is never bent cold; titanium is not bent back. */
export const materialRules: Readonly<Record<BarMaterial, MaterialRule>> = {
  aluminium: { yields: 240, modulus: 70_000, cold: true, leastRadius: 3, backAgain: 1 },
  'aluminium-hard': { yields: 430, modulus: 72_000, cold: true, leastRadius: 6, backAgain: 0 },
  steel: { yields: 290, modulus: 195_000, cold: true, leastRadius: 1.5, backAgain: 2 },
  titanium: { yields: 830, modulus: 112_000, cold: true, leastRadius: 6, backAgain: 0 },
  'carbon-composite': { yields: 600, modulus: 60_000, cold: false, leastRadius: 100, backAgain: 0 },
};

/** A bar between the irons. */
export const barSection = object({
  material: string().oneOf(barMaterials).required(),
  /** mm, across the bend */
  thickness: finite().positive().max(20).required(),
  width: finite().positive().max(80).required(),
  /** mm that the irons take hold apart */
  spread: finite().positive().max(300).required(),
  /** MPa, where the maker states them of this bar */
  yields: finite().positive().max(3000),
  modulus: finite().positive().max(500_000),
});
export type BarSection = InferType<typeof barSection>;

const degrees = 180 / Math.PI;

/**
 * The angle up to which a bar between the irons comes all the way back: 2 Y L/(E T) radians.
 * Check: aluminium Y 240 MPa, E 70 GPa, T 3 mm, L 60 mm: 7.9 degrees.
 */
export const elasticAngle = ({
  material,
  thickness,
  spread,
  yields = materialRules[material].yields,
  modulus = materialRules[material].modulus,
}: BarSection): Degrees => ((2 * yields * spread) / (modulus * thickness)) * degrees;

/**
 * The furthest a bar is bent in one place before its inside is tighter than its material bears.
 * @returns degrees over the spread, at its neutral line
 */
export const furthestAngle = ({ material, thickness, spread }: BarSection): Degrees =>
  (spread / (materialRules[material].leastRadius * thickness + thickness / 2)) * degrees;
