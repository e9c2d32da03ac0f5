import { array, number, object, string, type InferType } from 'yup';
import { holds, optionalCondition, type KnownFacts, name } from '../brace';
import type { Minutes } from '../quantity';

const minutes = () =>
  number()
    .strict()
    .integer()
    .min(1)
    .max(24 * 60);

/** By what a brace is worn: growing, all day out of bed, whenever the leg bears weight, when active, or as the order says. */
export const wearRules = ['growing', 'all-day', 'weight-bearing', 'active', 'as-ordered'] as const;
export type WearRule = (typeof wearRules)[number];

/** What a family says of wearing, line by line, each where its condition holds; its words say it to the patient. */
export const wearLinesSchema = array()
  .of(
    object({
      id: name(),
      when: optionalCondition,
      /** by what it is worn, where the line says so */
      rule: string().oneOf(wearRules),
      /** at night, where practice says so */
      nights: string().oneOf(['off', 'on'] as const),
      /** what a growing plan begins with, where the model does not say */
      firstDay: minutes(),
      /** the most a day at first */
      mostAtFirst: minutes(),
    })
      .noUnknown()
      .required(),
  )
  .max(12);
export type WearLine = NonNullable<InferType<typeof wearLinesSchema>>[number];

/** What a family says of wearing in a case: its lines, and with what a growing plan begins. */
export interface WearByFamily {
  lines: string[];
  rule: WearRule | undefined;
  nights: 'off' | 'on' | undefined;
  firstDay: Minutes | undefined;
  mostAtFirst: Minutes | undefined;
}

/** @param facts of the case: a line whose condition is not known to hold is left out */
export function wearByFamily(lines: readonly WearLine[], facts: KnownFacts): WearByFamily {
  const holding = lines.filter(({ when }) => when === undefined || holds(when, facts) === true);
  const most = holding.flatMap(({ mostAtFirst }) => mostAtFirst ?? []);
  return {
    lines: holding.map(({ id }) => id),
    rule: holding.find(({ rule }) => rule !== undefined)?.rule,
    nights: holding.find(({ nights }) => nights !== undefined)?.nights,
    firstDay: holding.find(({ firstDay }) => firstDay !== undefined)?.firstDay,
    mostAtFirst: most.length > 0 ? Math.min(...most) : undefined,
  };
}
