import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import type { GardenBooks } from '../../contract/garden-books.ts';
import { gardenBooksQuery } from '../api/gardens.ts';

/** The books of the garden whose page is open; undefined while they are being fetched. */
export function useGardenBooks(): GardenBooks | undefined {
  const { gardenId = '' } = useParams();
  return useQuery(gardenBooksQuery(gardenId)).data;
}
