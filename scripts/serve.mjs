// The server process. It must not outlive the command that started it, however that one ends.
process.on('disconnect', () => process.kill(process.pid, 'SIGTERM'));
await import('../build/index.js');
