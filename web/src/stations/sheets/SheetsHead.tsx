import { Flex } from '@chakra-ui/react';
import type { ReactElement, ReactNode } from 'react';
import { Link, useLocation } from 'react-router';

const PAGES = [
  ['/sheets', 'thickness ladder'],
  ['/sheets/book', 'sheet book'],
  ['/sheets/condition', 'conditioning'],
] as const;

/** The title of a page of this station, and the way to the others. */
export function SheetsHead({
  title,
  children,
}: {
  readonly title: string;
  readonly children?: ReactNode;
}): ReactElement {
  const { pathname } = useLocation();
  const here = PAGES.find(([path]) => path !== '/sheets' && pathname.startsWith(path))?.[0] ?? '/sheets';
  return (
    <Flex alignItems="baseline" gap={4} wrap="wrap" marginBottom={2}>
      <h1>{title}</h1>
      {children}
      <Flex as="nav" aria-label="Pages of this station" gap={4} marginLeft="auto" fontSize="small">
        {PAGES.filter(([path]) => path !== here).map(([path, words]) => (
          <Link key={path} to={path}>
            {words}
          </Link>
        ))}
      </Flex>
    </Flex>
  );
}
