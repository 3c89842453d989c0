import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Put, Query, StreamableFile } from '@nestjs/common';
import { PaletteDto, PictureDto, type PaletteCard } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { PalettesService } from './palettes.service.js';

@Controller('api')
export class PalettesController {
  constructor(@Inject(PalettesService) private readonly service: PalettesService) {}

  @Get('palettes')
  list(): Promise<PaletteCard[]> {
    return this.service.cards();
  }

  @Get('palettes/:id')
  open(@Param('id') id: string): Promise<PaletteDto> {
    return this.service.open(id);
  }

  @Put('palettes/:id')
  save(@Param('id') id: string, @ChangeId() change: string, @Body() body: PaletteDto): Promise<PaletteDto> {
    sameId(id, body.id);
    return this.service.save(change, body);
  }

  @Delete('palettes/:id')
  @HttpCode(204)
  remove(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.remove(change, id, Number(version));
  }

  @Put('pictures/:id')
  @HttpCode(204)
  keep(@Param('id') id: string, @Body() body: PictureDto): Promise<void> {
    sameId(id, body.id);
    return this.service.keepPicture(body);
  }

  /** As it is kept, or small enough for a wall of them: `?size=small`. */
  @Get('pictures/:id')
  async picture(@Param('id') id: string, @Query('size') size?: string): Promise<StreamableFile> {
    const { type, bytes } = await (size === 'small' ? this.service.smallPicture(id) : this.service.picture(id));
    return new StreamableFile(bytes, { type });
  }
}
