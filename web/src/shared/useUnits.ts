import { computed, type Ref } from 'vue'
import { useWords } from '@/api'

/** Lengths in the unit the person chose. The core keeps mm; how a unit is read comes from the catalogue. */
export function useUnits(unit: Ref<string>) {
  const words = useWords()
  const facts = computed(() => words.value.units.find(({ value }) => value === unit.value)!)
  /** mm to the unit's number, as a ruler is read. */
  const show = (mm: number): string => (mm / facts.value.mm).toFixed(facts.value.decimals)
  /** The unit's number to mm. */
  const toMm = (value: number): number => value * facts.value.mm
  return { facts, show, toMm }
}
