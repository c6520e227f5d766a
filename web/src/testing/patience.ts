/** Only what hangs takes longer than this, on however busy a machine. */
if (typeof document !== 'undefined') {
  const { configure } = await import('@testing-library/react');
  configure({ asyncUtilTimeout: 300_000 });
}

export {};
