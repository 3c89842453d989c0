import { Module } from '@nestjs/common';
import { OvensController } from './ovens.controller.js';
import { OvensService } from './ovens.service.js';

@Module({ controllers: [OvensController], providers: [OvensService], exports: [OvensService] })
export class OvensModule {}
