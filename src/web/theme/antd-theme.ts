import type { ThemeConfig } from 'antd';
import { COLORS, FONTS } from './tokens.ts';

export const antdTheme: ThemeConfig = {
  // The style of the controls is a file, written while building.
  zeroRuntime: true,
  cssVar: { key: 'vine' },
  token: {
    colorPrimary: COLORS.ink,
    colorInfo: COLORS.nitrogen,
    colorSuccess: COLORS.nitrogen,
    colorError: COLORS.stop,
    colorWarning: COLORS.stop,
    colorLink: COLORS.nitrogen,
    colorText: COLORS.ink,
    colorTextSecondary: COLORS.softInk,
    colorTextDescription: COLORS.softInk,
    colorTextPlaceholder: '#756B5E',
    colorTextDisabled: '#756B5E',
    colorBorder: '#A59A88',
    colorBorderSecondary: COLORS.rule,
    colorBgLayout: COLORS.sheet,
    colorBgContainer: COLORS.sheet,
    colorBgElevated: COLORS.sheet,
    fontFamily: FONTS.text,
    fontSize: 14,
    borderRadius: 5,
    boxShadow: '0 2px 8px rgba(43, 38, 32, 0.12)',
    boxShadowSecondary: '0 2px 10px rgba(43, 38, 32, 0.16)',
    motionDurationMid: '0.12s',
    controlItemBgActive: COLORS.tab,
    controlItemBgActiveHover: COLORS.tab,
    controlItemBgHover: COLORS.edge,
  },
  components: {
    Button: { fontWeight: 600, primaryShadow: 'none', defaultShadow: 'none' },
    Slider: {
      trackBg: COLORS.ink,
      trackHoverBg: COLORS.ink,
      railBg: '#CFC3AE',
      railHoverBg: '#CFC3AE',
      handleColor: COLORS.ink,
      handleActiveColor: COLORS.ink,
    },
    Segmented: { trackBg: COLORS.edge, itemSelectedBg: COLORS.sheet },
  },
};
