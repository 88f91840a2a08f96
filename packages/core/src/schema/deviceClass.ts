/** The device classes by width, narrowest first. */
export const deviceClasses = ['narrow', 'medium', 'wide'] as const;
/** A range of screen widths. */
export type DeviceClass = (typeof deviceClasses)[number];
