export type { Constant } from './constant';
export * from './edge';
export * from './fit';
export * from './kit';
