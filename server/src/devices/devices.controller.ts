import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Inject,
  Param,
  Post,
  Query,
  Sse,
  type MessageEvent,
} from '@nestjs/common';
import type { Observable } from 'rxjs';
import {
  DEVICES,
  GAUGES,
  GaugeErrandDto,
  ProbeErrandDto,
  ReaderErrandDto,
  type Device,
  type ProbeLogAnswer,
} from '#contract';
import { notThere } from '../access/problem.js';
import { ProbeService } from './probe.service.js';
import { DevicesService } from './devices.service.js';

function known<T extends Device>(all: readonly T[], name: string): T {
  const device = all.find((d) => d === name);
  if (!device) throw notThere('This device');
  return device;
}

@Controller('api/devices')
export class DevicesController {
  constructor(
    @Inject(DevicesService) private readonly service: DevicesService,
    @Inject(ProbeService) private readonly probe: ProbeService,
  ) {}

  @Sse('reader/events')
  events(): Observable<MessageEvent> {
    return this.service.events();
  }

  @Post('reader/ask')
  @HttpCode(202)
  ask(@Body() body: ReaderErrandDto): void {
    this.service.ask(body);
  }

  @Sse('probe/events')
  probeEvents(): Observable<MessageEvent> {
    return this.probe.events();
  }

  @Post('probe/ask')
  @HttpCode(202)
  askProbe(@Body() body: ProbeErrandDto): void {
    this.probe.ask(body);
  }

  @Get('probe/log')
  probeLog(@Query('since') since = '0'): ProbeLogAnswer {
    return this.probe.log(Number(since) || 0);
  }

  @Sse(':gauge/events')
  gaugeEvents(@Param('gauge') gauge: string): Observable<MessageEvent> {
    return this.service.gaugeEvents(known(GAUGES, gauge));
  }

  @Post(':gauge/ask')
  @HttpCode(202)
  askGauge(@Param('gauge') gauge: string, @Body() body: GaugeErrandDto): Promise<void> {
    return this.service.askGauge(known(GAUGES, gauge), body);
  }

  @Post(':device/connection')
  @HttpCode(204)
  connect(@Param('device') device: string): void {
    this.service.connect(known(DEVICES, device));
  }

  @Delete(':device/connection')
  @HttpCode(204)
  putAway(@Param('device') device: string): void {
    this.service.putAway(known(DEVICES, device));
  }
}
