/**
 * Stands in the head of every page: notes lists in which something is chosen while the page cannot hear it yet. A choice is told twice, as input and as change;
 * a page that wakes over the first puts back what it was sent with before the second, so that the first one counts.
 */
export const NOTES_EARLY_CHOICES = `darkPourEarly=new Map();['input','change'].forEach(function(told){addEventListener(told,function(e){var early=self.darkPourEarly;if(early&&e.target.tagName==='SELECT'&&(told==='input'||!early.has(e.target)))early.set(e.target,e.target.value)},true)})`;
