export * from './route.ts';
export * from './routes.ts';
export { openApi } from './openApi.ts';
