/** What reads kitchens that come in, and so brings the validation library along. */
export { addSnapshot, deleteSnapshot, listSnapshots } from '../client/snapshots';
export { fetchKitchen } from '../client/kitchens';
export { standing, takeUp } from './takeUp';
