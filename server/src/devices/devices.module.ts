import { Module } from '@nestjs/common';
import { SheetsModule } from '../sheets/sheets.module.js';
import { DevicesController } from './devices.controller.js';
import { ProbeService } from './probe.service.js';
import { DevicesService } from './devices.service.js';

@Module({ imports: [SheetsModule], controllers: [DevicesController], providers: [DevicesService, ProbeService] })
export class DevicesModule {}
