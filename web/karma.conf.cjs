process.env.CHROME_BIN = '/usr/bin/chromium';

module.exports = (config) =>
  config.set({
    frameworks: ['jasmine'],
    plugins: [require('karma-jasmine'), require('karma-chrome-launcher')],
    reporters: ['dots'],
    colors: false,
    browsers: ['DebianChromium'],
    customLaunchers: {
      DebianChromium: {
        base: 'ChromeHeadless',
        flags: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--disable-dev-shm-usage'],
      },
    },
    // A spec waits on real workers; a busy machine is no failure. What hangs is still told, a minute later.
    client: { jasmine: { timeoutInterval: 60_000 } },
    restartOnFileChange: false,
  });
