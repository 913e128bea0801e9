import { LRUCache } from 'lru-cache';
import type { Room } from '../room/schema';
import { type Method, type MethodHouse, resolveMethod } from './resolveMethod';

const methods = new LRUCache<string, Method>({ max: 300 });

/** `resolveMethod`, for what is asked again and again: the same choices are the same method, of which much is known. */
export function cachedMethod(house: MethodHouse, room?: Pick<Room, 'finish' | 'method'>): Method {
  const { unit, method, shrinkage, scraping } = house;
  const key = JSON.stringify([unit, method, shrinkage, scraping, room?.method, room?.finish?.level]);
  const known = methods.get(key) ?? resolveMethod(house, room);
  methods.set(key, known);
  return known;
}
