import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  worker: { format: 'es' },
  build: { target: 'es2022', sourcemap: false, chunkSizeWarningLimit: 900 },
  server: { host: '127.0.0.1', port: 5173, strictPort: true, proxy: { '/api': process.env['API'] ?? 'http://127.0.0.1:4747' } },
});
