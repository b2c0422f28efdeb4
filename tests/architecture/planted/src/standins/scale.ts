export const planted = 1;
