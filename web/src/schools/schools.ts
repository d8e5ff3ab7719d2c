import type { Reading } from '@/api'

export type Stance = 'agree' | 'one_off' | 'two_off' | 'group' | 'asks'
export type School = {
  id: string
  kind: 'key' | 'limits' | 'system'
  name: string
  says: string
  stance: Stance
  asks?: string
}

type Outcome = { name: string; code: string; percent: number }
const said = (outcomes: Outcome[]): string =>
  outcomes.map(({ name, percent }) => name + (percent < 100 ? ` ${percent} %` : '')).join(', ')

/** Limit sets that put the same ribbon into another tier than the reading's own: seen before the rub is made. */
export function otherTiers({ assessment }: Reading): { name: string; tier: string; percent: number }[] {
  const leading = (tiers: { tier: string; odds: number; percent?: number }[]) =>
    [...tiers].sort((a, b) => b.odds - a.odds)[0]
  const own = leading(assessment.keys[0]!.tiers ?? [])
  if (assessment.keys[0]!.key !== 'ribbon_and_rub' || !own) return []
  return assessment.limit_sets.flatMap(({ name, tiers }) => {
    const top = leading(tiers)
    return top && top.tier !== own.tier
      ? [{ name, tier: top.tier, percent: top.percent ?? Math.round(top.odds * 100) }]
      : []
  })
}

/**
 * What every school but the reading's own makes of the same answers: keys, limit sets of the flow key, systems of the
 * two numbers.
 */
export function schoolsOf({ assessment }: Reading): School[] {
  const [main, ...others] = assessment.keys
  const stance = (outcomes: Outcome[], agreement?: string | null): Stance =>
    !outcomes.length ? 'asks' : ((agreement ?? 'group') as Stance)
  const keys = others.map((key): School => ({
    id: key.key,
    kind: 'key',
    name: key.name!,
    says: said(key.outcomes),
    stance: stance(key.outcomes, key.agreement),
    asks: key.next_question ?? undefined,
  }))
  // The reading's own set is the main key itself, and what the flow key says stands among the keys.
  const limits =
    main!.key === 'ribbon_and_rub' ? assessment.limit_sets.filter(({ limit_set }) => limit_set !== main!.limit_set) : []
  const sets = limits.map((set): School => ({
    id: set.limit_set,
    kind: 'limits',
    name: set.name,
    says: said(set.outcomes),
    stance: stance(set.outcomes, set.agreement),
    asks: main!.next_question ?? undefined,
  }))
  const systems = assessment.systems
    .filter(({ system }) => system !== main!.system)
    .map((system): School => ({
      id: system.system,
      kind: 'system',
      name: system.name,
      says: [system.class, ...system.near].join(' or '),
      stance: (system.agreement ?? 'group') as Stance,
    }))
  return [...keys, ...sets, ...systems]
}
