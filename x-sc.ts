import { weighWording } from "@/core/reading/weighing/weigh-wording";
import { LEARNT_WORDING } from "@/core/reading/weighing/learnt";
import { KIND_RULES } from "@/core/reading/rules/list";
import { SENSES, ruleCounts } from "@/core/reading/weighing/sense";
for (const text of process.argv.slice(2)) { const c:any={text,isListItem:false,lead:null,asks:false,block:0,start:0,end:text.length};
 console.log(text); console.log("  ", SENSES.map((s,i)=>s+" "+weighWording(c,LEARNT_WORDING)[i]!.toFixed(2)).join(", "));
 for (const r of KIND_RULES) { let a:any=null; try { a=r.find(c,{people:{team:[],outside:[]},writer:null,readers:[],mine:[]} as any);} catch(e) {} if(a) console.log("   rule", r.name, a, ruleCounts(r).toFixed(2)); } }
