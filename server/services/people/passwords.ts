import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'

const scrypt = new Hash(new Scrypt({}))

export const hashPassword = (password: string): Promise<string> => scrypt.make(password)
export const verifyPassword = (hash: string, password: string): Promise<boolean> => scrypt.verify(hash, password)
