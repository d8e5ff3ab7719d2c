const HIDDEN = 50 // ms after which a page is taken for one that nobody sees, and that is not painted [our own]

/** Resolves once what stands in the page is on the screen. */
export const painted = (): Promise<void> =>
  new Promise((go) => {
    requestAnimationFrame(() => setTimeout(go))
    setTimeout(go, HIDDEN)
  })
