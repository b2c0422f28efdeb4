export { CalendarPage } from './CalendarPage.tsx';
export { LayingDayPage } from './LayingDayPage.tsx';
