// Stands in for any icon.
module.exports = () => null;
