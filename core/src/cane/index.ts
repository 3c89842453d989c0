export * from '#core/cane/outlines';
export * from '#core/cane/document';
export * from '#core/cane/steps';
export * from '#core/cane/drawing';
export * from '#core/cane/face';
export * from '#core/cane/plan';
