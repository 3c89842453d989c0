import { Body, Controller, HttpCode, Inject, Post, Sse, type MessageEvent } from '@nestjs/common';
import type { Observable } from 'rxjs';
import { ReaderErrandDto } from '#contract';
import { DevicesService } from './devices.service.js';

@Controller('api/devices/reader')
export class DevicesController {
  constructor(@Inject(DevicesService) private readonly service: DevicesService) {}

  @Sse('events')
  events(): Observable<MessageEvent> {
    return this.service.events();
  }

  @Post('ask')
  @HttpCode(202)
  ask(@Body() body: ReaderErrandDto): void {
    this.service.ask(body);
  }
}
