<template><section class="fonts" aria-label="Fonts" /></template>
