export { openFace, type Face, type TextSetting } from './openFace.ts';
export { siteMeasure, type Lacking, type SiteMeasure } from './siteMeasure.ts';
export { transformed } from './transformed.ts';
