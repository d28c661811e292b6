<template>
  <main class="nowhere">
    <h1>There is no such page</h1>
    <RouterLink to="/floor">To the floor</RouterLink>
  </main>
</template>

<style scoped>
.nowhere {
  padding: 48px;
}
</style>
