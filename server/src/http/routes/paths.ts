/** Where a device sends its entries. */
export const PUSH = '/sync/push';
