import { sure } from '@sill/core';
import './look/base.css';
import './ui/layout.css';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { CssBaseline, ThemeProvider } from '@mui/material';
import { lazy, Suspense, useMemo } from 'react';
import { createBrowserRouter, Navigate, RouterProvider, useParams } from 'react-router';
import { stageOf } from './stages/registry';
import { SignIn } from './access/SignIn';
import { JobGate, StageFrame } from './frame/Frame';
import { Message } from './frame/Message';
import { Trouble } from './frame/Trouble';
import { JobsPage } from './jobs/JobsPage';
import { useFrom } from './state/hooks';
import { makeTheme } from './look/theme';

const Packet = lazy(() => import('./packet/Packet'));
const YardPage = lazy(() => import('./yard/YardPage'));
const Templates = lazy(() => import('./packet/Templates'));
const Labels = lazy(() => import('./packet/Labels'));
const BuildRecord = lazy(() => import('./packet/BuildRecord'));
const RecordPage = lazy(() => import('./jobs/RecordPage'));

function Stage() {
  // The frame lets no other name through.
  const { Screen } = sure(stageOf(useParams()['stage']), 'stage of the address');
  return <Screen />;
}

const router = createBrowserRouter([
  { path: '/', element: <JobsPage />, errorElement: <Trouble /> },
  {
    path: '/record',
    element: (
      <Suspense fallback={<p role="status">Reading the record.</p>}>
        <RecordPage />
      </Suspense>
    ),
    errorElement: <Trouble />,
  },
  {
    path: '/jobs/:id',
    element: <JobGate />,
    errorElement: <Trouble />,
    children: [
      { index: true, element: <Navigate to="brief" replace /> },
      {
        path: 'packet',
        element: (
          <Suspense fallback={<p role="status">Laying out the packet.</p>}>
            <Packet />
          </Suspense>
        ),
      },
      {
        path: 'yard',
        element: (
          <Suspense fallback={<p role="status">Opening the list.</p>}>
            <YardPage />
          </Suspense>
        ),
      },
      {
        path: 'templates',
        element: (
          <Suspense fallback={<p role="status">Laying out the templates.</p>}>
            <Templates />
          </Suspense>
        ),
      },
      {
        path: 'labels',
        element: (
          <Suspense fallback={<p role="status">Laying out the labels.</p>}>
            <Labels />
          </Suspense>
        ),
      },
      {
        path: 'build-record',
        element: (
          <Suspense fallback={<p role="status">Laying out the record.</p>}>
            <BuildRecord />
          </Suspense>
        ),
      },
      {
        path: ':stage',
        element: <StageFrame />,
        // The frame stays: another stage is one key away.
        children: [{ index: true, element: <Stage />, errorElement: <Trouble /> }],
      },
    ],
  },
  { path: '*', element: <Navigate to="/" replace /> },
]);

/** Styles are written under the nonce that the server put into this page. */
const nonce = document.querySelector<HTMLMetaElement>('meta[property=csp-nonce]')?.nonce;
const cache = createCache({ key: 'sill', ...(nonce ? { nonce } : {}) });

export function App() {
  const look = useFrom((state) => state.view.look);
  const theme = useMemo(() => makeTheme(look), [look]);
  return (
    <CacheProvider value={cache}>
      <ThemeProvider theme={theme}>
        <CssBaseline />
        {/* What is seen is of the address at once: in a transition one would type into the piece or part before. */}
        <RouterProvider router={router} useTransitions={false} />
        <Message />
        <SignIn />
      </ThemeProvider>
    </CacheProvider>
  );
}
