/** Stands in the head of every page: notes lists in which something is chosen while the page cannot hear it yet. */
export const NOTES_EARLY_CHOICES = `darkPourEarly=new Map();addEventListener('change',function(e){if(self.darkPourEarly&&e.target.tagName==='SELECT')darkPourEarly.set(e.target,e.target.value)},true)`;
