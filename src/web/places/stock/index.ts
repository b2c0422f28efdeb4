export { LotPage } from './LotPage.tsx';
export { SharePage } from './SharePage.tsx';
export { StockPage } from './StockPage.tsx';
