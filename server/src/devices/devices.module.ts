import { Module } from '@nestjs/common';
import { SheetsModule } from '../sheets/sheets.module.js';
import { DevicesController } from './devices.controller.js';
import { DevicesService } from './devices.service.js';

@Module({ imports: [SheetsModule], controllers: [DevicesController], providers: [DevicesService] })
export class DevicesModule {}
