/**
 * How Debian's Chromium is opened for tests, benchmarks and pictures. Without a window's search box that is a page of its own,
 * which each page opened would load again, at twice what most of Eave's own pages cost. A list of features stands in the place of
 * Playwright's, so that what is needed of that is said again.
 */
export const chromiumOptions = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
    `--disable-features=${[
      'WebUIOmniboxPopup',
      'WebUIOmniboxFullPopup',
      'WebUIOmniboxAimPopup',
      'AvoidUnnecessaryBeforeUnloadCheckSync',
      'DestroyProfileOnBrowserClose',
      'HttpsUpgrades',
      'MediaRouter',
      'OptimizationHints',
      'NetworkTimeServiceQuerying',
      'PaintHolding'
    ].join(',')}`
  ]
};
