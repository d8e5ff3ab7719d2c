/** ms after a page is loaded in which nothing is begun beside its first view [our own: measured on two cores] */
const FIRST_VIEW = 1500

/** Resolves once the page is loaded, some time has passed and it has nothing else to do. */
export const settled = (ms = FIRST_VIEW): Promise<void> =>
  new Promise((go) => {
    const idle = globalThis.requestIdleCallback ?? setTimeout
    const begin = () => setTimeout(() => idle(() => go()), ms)
    if (document.readyState === 'complete') begin()
    else addEventListener('load', begin, { once: true })
  })
