<template>
  <svg viewBox="0 0 36 36" width="48" height="48" aria-hidden="true">
    <path d="M3 9h30v18H3z" class="inked" />
    <g class="g-sand">
      <circle cx="7.5" cy="13" r="1.7" />
      <circle cx="11.5" cy="18" r="1.7" />
      <circle cx="7" cy="23" r="1.7" />
      <circle cx="13" cy="12.5" r="1.2" />
    </g>
    <path class="g-silt" style="stroke-width: 2.2" d="M15 15.5h4.6M14.5 20.5h5M17 24.2h4" />
    <path class="g-clay" style="stroke-width: 1.5" d="M23 12.4h10M23 15.6h10M23 18.8h10M23 22h10M23 25.2h10" />
  </svg>
</template>
