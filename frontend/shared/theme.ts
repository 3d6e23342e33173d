// The one place where the component library's tokens are set. The roles themselves stand in
// styles/tokens.css.
import { theme, type ThemeConfig } from 'antd'

const light = {
  ground: '#eef1f3',
  sheet: '#ffffff',
  line: '#d8dfe3',
  text: '#16242c',
  second: '#536570',
  accent: '#5a3fc0',
  pressed: '#4a32a6',
  alarm: '#b0173c',
  deep: '#0f3d4b',
}
const dark = {
  ground: '#10191e',
  sheet: '#17232a',
  line: '#2b3a43',
  text: '#e6eef1',
  second: '#9fb1ba',
  accent: '#a994ff',
  pressed: '#c0b1ff',
  alarm: '#ff7d97',
  deep: '#cfe3e9',
}

export function themeFor(mode: 'light' | 'dark'): ThemeConfig {
  const c = mode === 'dark' ? dark : light
  return {
    algorithm: mode === 'dark' ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      fontFamily: "'Commissioner Variable', 'Noto Sans', sans-serif",
      fontSize: 14,
      borderRadius: 6,
      borderRadiusLG: 6,
      borderRadiusSM: 5,
      colorPrimary: c.accent,
      // Under the pointer too, words keep their contrast.
      colorPrimaryHover: c.pressed,
      colorPrimaryActive: c.pressed,
      colorLink: c.accent,
      colorLinkHover: c.accent,
      colorLinkActive: c.accent,
      colorInfo: c.deep,
      colorError: c.alarm,
      colorSuccess: c.deep,
      colorWarning: c.deep,
      colorText: c.text,
      colorTextSecondary: c.second,
      colorTextDescription: c.second,
      colorBgLayout: c.ground,
      colorBgContainer: c.sheet,
      colorBgElevated: c.sheet,
      colorBorder: c.line,
      colorBorderSecondary: c.line,
      wireframe: false,
      motionDurationMid: '0.12s',
      motionDurationSlow: '0.16s',
      boxShadow: '0 10px 30px rgba(16, 40, 52, .16)',
      boxShadowSecondary: '0 10px 30px rgba(16, 40, 52, .16)',
    },
    components: {
      Button: {
        fontWeight: 600,
        contentFontSizeLG: 14,
        primaryShadow: 'none',
        defaultShadow: 'none',
        primaryColor: mode === 'dark' ? '#17122e' : '#ffffff',
      },
      Select: { optionSelectedBg: mode === 'dark' ? '#2b2550' : '#efecfb' },
      Tooltip: { colorBgSpotlight: light.deep },
    },
  }
}
