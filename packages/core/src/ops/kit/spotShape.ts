import * as Type from 'typebox';
import { closed, IdShape } from '../../schema/shapes.ts';

export const AfterShape = Type.Union([IdShape, Type.Null()]);
export const SpotShape = Type.Object({ parent: IdShape, after: AfterShape }, closed);
