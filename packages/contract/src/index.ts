export * from './route.ts';
export * from './messages.ts';
export * from './routes.ts';
export { openApi } from './openApi.ts';
