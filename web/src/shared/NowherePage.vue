<template>
  <main class="min-h-screen grid place-content-center gap-4 p-6 text-xl text-center">
    <h1 class="text-3xl">There is nothing at this place.</h1>
    <p><RouterLink class="button button-main" to="/">To the fieldbook</RouterLink></p>
  </main>
</template>
