import { redirect } from 'react-router';
import type { Route } from './+types/book-start.ts';

export const loader = ({ params }: Route.LoaderArgs) => redirect(`/books/${params.book}/flatplan`);
