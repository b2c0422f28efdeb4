export { AshPage } from './AshPage.tsx';
export { BrewsPage } from './BrewsPage.tsx';
export { CharPage } from './CharPage.tsx';
export { HeapsPage } from './HeapsPage.tsx';
export { MixPage } from './MixPage.tsx';
