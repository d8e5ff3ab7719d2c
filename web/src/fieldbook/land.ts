import type { ProfileSummary, Site } from '@/api'

/** What hangs from the ground: a profile, or the place of the first one of a site that has none. */
export type Plot = { site: Site; profile: ProfileSummary | null; first: boolean; x: number; ground: number }
export type Row = { plots: Plot[]; width: number }

/** px above the lowest ground, by landform: a drawing's height, and no survey's. */
const HEIGHTS: Record<string, number> = {
  crest: 84,
  shoulder: 77,
  upper_slope: 70,
  backslope: 58,
  mid_slope: 52,
  lower_slope: 36,
  foot: 22,
  toeslope: 16,
  terrace: 40,
  plain: 18,
  flat: 12,
  drainage_line: 0,
}
const UNKNOWN_HEIGHT = 24

/**
 * Hangs profiles side by side along the ground, site after site, and begins a new row where the page ends. After a
 * site's last profile there is room for adding another.
 */
export function layOut(sites: Site[], width: number, plotWidth: number, siteGap: number, start = 0): Row[] {
  const rows: Row[] = []
  let row: Row | undefined
  let x = 0
  for (const site of sites) {
    const profiles: (ProfileSummary | null)[] = site.profiles.length ? site.profiles : [null]
    profiles.forEach((profile, i) => {
      const gap = row && i === 0 ? siteGap : 0
      const room = i === profiles.length - 1 ? siteGap : 0
      if (!row || x + gap + plotWidth + room > width) {
        row = { plots: [], width: 0 }
        rows.push(row)
        x = start
      } else x += gap
      row.plots.push({
        site,
        profile,
        first: i === 0 || row.plots.length === 0,
        x,
        ground: HEIGHTS[site.landform ?? ''] ?? UNKNOWN_HEIGHT,
      })
      x += plotWidth
      row.width = x
    })
  }
  return rows
}

/** The ground line through a row's plots: level where something hangs, sloping between. */
export function groundLine(row: Row, plotWidth: number, width: number, y: (ground: number) => number): string {
  let path = ''
  row.plots.forEach((plot, i) => {
    const level = y(plot.ground)
    const before = row.plots[i - 1]
    if (!before) path += `M0 ${level}H${plot.x + plotWidth}`
    else if (before.ground === plot.ground) path += `H${plot.x + plotWidth}`
    else {
      const [from, to] = [before.x + plotWidth, plot.x + 4]
      const middle = from + (to - from) * 0.5
      path += `C${middle} ${y(before.ground)} ${middle} ${level} ${to} ${level}H${plot.x + plotWidth}`
    }
  })
  return `${path}H${width}`
}

/** What a profile still needs, in a word or two. */
export function standing(profile: ProfileSummary): { done: number; total: number; next: string } {
  const total = profile.horizons.length
  const done = profile.horizons.filter(({ code }) => code).length
  const next = profile.horizons.find(({ id }) => id === profile.next_horizon_id)
  return { done, total, next: total === 0 ? 'no horizon yet' : next ? `next: ${next.designation}` : 'complete' }
}
