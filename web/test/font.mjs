// Where a font of the application is asked for: tests write no paper.
export default '';
