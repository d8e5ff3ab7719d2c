/** ms after a page is loaded in which nothing is begun beside its first view [our own: measured on two cores] */
const FIRST_VIEW = 1500
/** ms after which a page counts as idle even if its browser, which paints nothing new, never says so [our own] */
const IDLE_AT_LAST = 5000

const idle = (go: () => void): unknown =>
  'requestIdleCallback' in globalThis ? requestIdleCallback(go, { timeout: IDLE_AT_LAST }) : setTimeout(go)

/** Resolves once the page is loaded, some time has passed and it has nothing else to do. */
export const settled = (ms = FIRST_VIEW): Promise<void> =>
  new Promise((go) => {
    const begin = () => setTimeout(() => idle(go), ms)
    if (document.readyState === 'complete') begin()
    else addEventListener('load', begin, { once: true })
  })
