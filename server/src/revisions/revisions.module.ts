import { Global, Module } from '@nestjs/common';
import { Revisions } from './revisions.js';

@Global()
@Module({ providers: [Revisions], exports: [Revisions] })
export class RevisionsModule {}
