export const deviceClasses = ['narrow', 'medium', 'wide'] as const;
export type DeviceClass = (typeof deviceClasses)[number];
