/** What reads kitchens that come in, and so brings the validation library along. */
export { dropKept, keepBeside, listKept } from '../client/kept';
export { fetchKitchen } from '../client/kitchens';
export { standing, takeUp } from './takeUp';
