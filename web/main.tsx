import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource/barlow-condensed/latin-600.css';
import '@mantine/core/styles.layer.css';
import './theme/tokens.css';
import './theme/controls.css';
import './frame/frame.css';
import { MantineProvider } from '@mantine/core';
import { QueryClientProvider } from '@tanstack/react-query';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { App } from './App';
import { queries } from './frame/queries';
import { theme } from './theme/theme';

const nonce = document.querySelector<HTMLMetaElement>('meta[name="amber-nonce"]')?.content ?? '';
// The library that locks the page behind a sheet looks for the nonce of its style here.
(globalThis as { __webpack_nonce__?: string }).__webpack_nonce__ = nonce;
const root = document.getElementById('app');

if (root !== null) {
    createRoot(root).render(
        <MantineProvider theme={theme} getStyleNonce={() => nonce} defaultColorScheme="light">
            <QueryClientProvider client={queries}>
                <BrowserRouter>
                    <App />
                </BrowserRouter>
            </QueryClientProvider>
        </MantineProvider>,
    );
}
