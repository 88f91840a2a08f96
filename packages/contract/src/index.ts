export * from './route.ts';
export * from './messages.ts';
export * from './pictures.ts';
export * from './reading.ts';
export * from './routes.ts';
export { openApi } from './openApi.ts';
export { referring, sharedShapes } from './sharedShapes.ts';
