import { Module } from '@nestjs/common';
import { DrawerController } from './drawer.controller.js';
import { DrawerService } from './drawer.service.js';

@Module({ controllers: [DrawerController], providers: [DrawerService] })
export class DrawerModule {}
