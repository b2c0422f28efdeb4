export { CalendarPage } from './CalendarPage.tsx';
export { WeekPage } from './WeekPage.tsx';
export { LayingDayPage } from './LayingDayPage.tsx';
