import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/jetbrains-mono/wght.css';
import '@fontsource/archivo-narrow/400.css';
import '@fontsource/archivo-narrow/700.css';
import '@/ui/theme/base.css';
import type { Metadata } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { Registry } from '@/ui/theme/Registry';

export const metadata: Metadata = {
  title: { default: 'Vobrik', template: '%s · Vobrik' },
  description: 'Log, read, plan: the football staff’s week.',
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en">
      <body>
        <AppRouterCacheProvider options={{ ...(nonce ? { nonce } : {}) }}>
          <Registry>{children}</Registry>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
