import { createElement, Fragment, type ReactNode } from 'react';
import { formatParts, type MessageKey } from './say.ts';

/** A sentence of the catalogue in which figures, links or other elements stand. */
export const sayRich = (key: MessageKey, params: Readonly<Record<string, ReactNode>>): ReactNode =>
  createElement(Fragment, null, ...formatParts<ReactNode>(key, params));
