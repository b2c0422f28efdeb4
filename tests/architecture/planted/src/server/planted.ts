export const planted = true;
