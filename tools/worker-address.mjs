export default '/worker.js'
